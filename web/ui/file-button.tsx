import { useRef, type ReactNode } from 'react';
import { Button } from './buttons.tsx';

/** Asks for files of this machine. */
export function FileButton({
  label,
  accept,
  multiple = false,
  onFile,
  children,
}: {
  /** Of what is asked for. */
  label: string;
  accept?: string;
  multiple?: boolean;
  /** Called for each of them. */
  onFile: (file: File) => void;
  children: ReactNode;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        multiple={multiple}
        hidden
        aria-label={label}
        onChange={(event) => {
          for (const file of event.target.files ?? []) onFile(file);
          // The same one can be chosen again.
          event.target.value = '';
        }}
      />
      <Button onClick={() => input.current?.click()}>{children}</Button>
    </>
  );
}
