type Sent = { readonly name: string } | { readonly fault: string };

const LOST = "The file did not arrive. Look whether Tensidrum runs, then send it again.";

/** Sends a file as it is and tells how much of it has gone, 0 to 1. */
export function sendFile(file: File, note: (share: number) => void): Promise<Sent> {
  return new Promise((resolve) => {
    const request = new XMLHttpRequest();
    request.upload.onprogress = ({ loaded, total }) => note(total > 0 ? loaded / total : 0);
    request.onerror = () => resolve({ fault: LOST });
    request.onload = () => {
      const answer: unknown = request.status === 200 ? JSON.parse(request.responseText) : null;
      const name = (answer as { readonly name?: unknown } | null)?.name;
      resolve(typeof name === "string" ? { name } : { fault: LOST });
    };
    request.open("POST", "/settings/backups/file");
    request.setRequestHeader("Content-Type", "application/octet-stream");
    request.send(file);
  });
}
