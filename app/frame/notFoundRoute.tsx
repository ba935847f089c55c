import { data } from "react-router";

/** Every address no other route knows. */
export function loader() {
  throw data(null, { status: 404 });
}

export default function NotFound() {
  return null;
}
