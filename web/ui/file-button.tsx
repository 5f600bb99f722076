import { useRef, type ReactNode } from 'react';
import { Button } from './buttons.tsx';

interface FileButtonProps {
  /** Of what is asked for. */
  label: string;
  accept?: string;
  multiple?: boolean;
  children: ReactNode;
}

/** Asks for files of this machine; `onFile` is called for each of them. */
export function FileButton({ onFile, ...rest }: FileButtonProps & { onFile: (file: File) => void }) {
  return <FilesButton {...rest} onFiles={(files) => files.forEach(onFile)} />;
}

/** Asks for files of this machine, and takes them together. */
export function FilesButton({
  label,
  accept,
  multiple = false,
  onFiles,
  children,
}: FileButtonProps & { onFiles: (files: File[]) => void }) {
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
          onFiles([...(event.target.files ?? [])]);
          // The same one can be chosen again.
          event.target.value = '';
        }}
      />
      <Button onClick={() => input.current?.click()}>{children}</Button>
    </>
  );
}
