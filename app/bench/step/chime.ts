const NOTES_HERTZ = [660, 880, 660];
const NOTE_SECONDS = 0.28;

let audio: AudioContext | undefined;

/** Browsers allow sound only after a tap; the first one opens the way. */
export function allowSound(): void {
  audio ??= new AudioContext();
  void audio.resume();
}

/** Three soft notes; silent where no sound is allowed yet. */
export function chime(): void {
  if (audio?.state !== "running") return;
  for (const [at, hertz] of NOTES_HERTZ.entries()) {
    const from = audio.currentTime + at * NOTE_SECONDS;
    const tone = audio.createOscillator();
    const loudness = audio.createGain();
    tone.frequency.value = hertz;
    loudness.gain.setValueAtTime(0, from);
    loudness.gain.linearRampToValueAtTime(0.25, from + 0.03);
    loudness.gain.exponentialRampToValueAtTime(0.001, from + NOTE_SECONDS);
    tone.connect(loudness).connect(audio.destination);
    tone.start(from);
    tone.stop(from + NOTE_SECONDS);
  }
}
