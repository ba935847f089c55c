import { withHiddenMarked } from "@tensidrum/core/quantities";

/** An address whose questions hold no character that cannot be stored; such a one is marked, as in the fields of a form. */
export function plainAddress(url: URL): URL {
  const asked = [...url.searchParams];
  const plain = asked.map(([name, value]) => [withHiddenMarked(name), withHiddenMarked(value)]);
  if (asked.every(([name, value], at) => plain[at]?.[0] === name && plain[at]?.[1] === value)) return url;
  const marked = new URL(url);
  marked.search = new URLSearchParams(plain).toString();
  return marked;
}
