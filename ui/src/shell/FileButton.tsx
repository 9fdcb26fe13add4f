import { useRef } from "react";

/** Asks for a file by a button of the caller's; the same file may be read again. */
export function FileButton({
  label,
  accept,
  read,
  children,
}: {
  label: string;
  accept: string;
  read: (file: File) => void;
  /** The button, which opens the choice of a file. */
  children: (choose: () => void) => React.ReactNode;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      {children(() => input.current?.click())}
      <input
        ref={input}
        type="file"
        accept={accept}
        aria-label={label}
        className="sr-only"
        tabIndex={-1}
        onChange={(e) => {
          const file = e.target.files?.[0];
          if (file) read(file);
          e.target.value = "";
        }}
      />
    </>
  );
}
