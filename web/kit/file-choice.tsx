import { useRef } from 'react';

interface FileChoiceProps {
  readonly label: string;
  /** Endings, as the file dialog takes them. */
  readonly accept: string;
  readonly onFile: (file: File) => void;
}

/** A button that asks for a file; the same file may be chosen again. */
export function FileChoice({ label, accept, onFile }: FileChoiceProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <button type="button" className="link" onClick={() => input.current?.click()}>
        {label}
      </button>
      <input
        ref={input}
        type="file"
        hidden
        aria-label={label}
        accept={accept}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          event.target.value = '';
          if (file) onFile(file);
        }}
      />
    </>
  );
}
