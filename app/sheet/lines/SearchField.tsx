import { TextInput } from "@mantine/core";
import { type RefObject, useEffect, useLayoutEffect, useRef, useState } from "react";
import { flushSync } from "react-dom";
import classes from "./AddLine.module.css";
import type { MaterialSearch, MaterialSearchProps } from "./MaterialSearch";
import { SEARCH_INPUT } from "./searchInput";

interface SearchFieldProps extends Omit<MaterialSearchProps, "text" | "onText" | "inputRef"> {
  readonly inputRef: RefObject<HTMLInputElement | null>;
  /** What a page without scripts was asked for. */
  readonly find: string;
}

/** The field for finding materials. What lists the matches comes after the page is there, and takes the caret over. */
export function SearchField({ find, inputRef, ...rest }: SearchFieldProps) {
  const [text, setText] = useState(find);
  const [search, setSearch] = useState<{ readonly Search: typeof MaterialSearch } | null>(null);
  const hadFocus = useRef(false);
  useEffect(() => {
    let isGone = false;
    void import("./MaterialSearch").then((module) => {
      if (isGone) return;
      hadFocus.current = document.activeElement === inputRef.current;
      // At once: between looking for the caret and taking it over no key may come.
      flushSync(() => setSearch({ Search: module.MaterialSearch }));
    });
    return () => {
      isGone = true;
    };
  }, [inputRef]);
  useLayoutEffect(() => {
    if (search !== null && hadFocus.current) inputRef.current?.focus();
  }, [search, inputRef]);
  if (search !== null) return <search.Search {...rest} inputRef={inputRef} text={text} onText={setText} />;
  return (
    <TextInput
      ref={inputRef}
      className={classes.search}
      {...SEARCH_INPUT}
      value={text}
      onChange={(event) => setText(event.currentTarget.value)}
      onKeyDown={(event) => {
        if (event.key === "Enter") event.preventDefault();
      }}
    />
  );
}
