/** Materials never change once they are in a library, so what is worked out of one is worked out once. */
export function remembered<Thing extends object, Answer>(work: (thing: Thing) => Answer): (thing: Thing) => Answer {
  const known = new WeakMap<Thing, { readonly answer: Answer }>();
  return (thing) => {
    let kept = known.get(thing);
    if (kept === undefined) known.set(thing, (kept = { answer: work(thing) }));
    return kept.answer;
  };
}
