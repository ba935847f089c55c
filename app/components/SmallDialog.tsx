import { Modal } from "@mantine/core";
import { type ReactNode, useEffect, useLayoutEffect, useRef } from "react";

interface SmallDialogProps {
  readonly title: string;
  readonly onClose: () => void;
  /** Width, px; by default as the theme has it. */
  readonly size?: number;
  readonly children: ReactNode;
}

/**
 * A small sheet over the page; it stands open as long as it is drawn, with the caret in its first field. What had the focus
 * before has it again afterwards.
 */
export function SmallDialog({ title, onClose, size, children }: SmallDialogProps) {
  useEffect(() => {
    const before = document.activeElement;
    return () => {
      if (before instanceof HTMLElement && before.isConnected) before.focus();
    };
  }, []);
  return (
    <Modal opened onClose={onClose} title={title} {...(size !== undefined && { size })} closeButtonProps={{ "aria-label": "Close" }}>
      <CaretInFirstField>{children}</CaretInFirstField>
    </Modal>
  );
}

function CaretInFirstField({ children }: { readonly children: ReactNode }) {
  const body = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    body.current?.querySelector("input, select, textarea")?.setAttribute("data-autofocus", "");
  }, []);
  return <div ref={body}>{children}</div>;
}
