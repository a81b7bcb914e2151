import { type ComponentProps, useRef } from 'react';
import { Second } from './Action';

interface FileButtonProps extends Omit<ComponentProps<typeof Second>, 'onClick'> {
  /** what the file is, spoken */
  label: string;
  accept: string;
  multiple?: boolean;
  /** which camera a phone opens by itself */
  capture?: 'environment';
  /** at least one file; the same one may be chosen again */
  onFiles(files: [File, ...File[]]): void;
}

/** A button that asks for a file. */
export function FileButton({ label, accept, multiple, capture, onFiles, ...button }: FileButtonProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Second {...button} onClick={() => input.current?.click()} />
      <input
        ref={input}
        type="file"
        accept={accept}
        multiple={multiple}
        capture={capture}
        className="sr-only"
        aria-label={label}
        tabIndex={-1}
        onChange={(e) => {
          const [first, ...more] = [...(e.currentTarget.files ?? [])];
          e.currentTarget.value = '';
          if (first) onFiles([first, ...more]);
        }}
      />
    </>
  );
}
