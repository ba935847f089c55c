/** A file to keep, with its name. */
export function fileAnswer(
  content: string | Uint8Array<ArrayBuffer>,
  { type, name }: { readonly type: string; readonly name: string },
): Response {
  return new Response(content, {
    headers: {
      "Content-Type": type,
      "Content-Disposition": `attachment; filename="${name.replaceAll(/[^\w.-]+/g, "-")}"`,
      "Cache-Control": "private, no-store",
    },
  });
}
