import { useId } from 'react';

interface FileButtonProps {
  readonly busy: boolean;
  /** The endings and kinds of file that can be read. */
  readonly accept: string;
  readonly onFile: (file: File | undefined) => void;
}

/** A button that asks for a file; the same file can be chosen again. */
export function FileButton({ busy, accept, onFile }: FileButtonProps) {
  const id = useId();
  return (
    <label htmlFor={id} className="plain w-full cursor-pointer has-focus-visible:outline-3">
      {busy ? 'Reading…' : 'Choose a file'}
      <input
        id={id}
        type="file"
        accept={accept}
        className="sr-only"
        disabled={busy}
        onChange={(e) => {
          onFile(e.target.files?.[0]);
          e.target.value = '';
        }}
      />
    </label>
  );
}
