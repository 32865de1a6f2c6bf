interface Props {
  readonly label: string;
  /** Kinds of files, as a browser names them. */
  readonly accept: string;
  readonly disabled?: boolean;
  readonly className?: string;
  readonly onFile: (file: File) => void;
}

/** A file to be brought in, asked for by a line of words; the same file can be brought twice. */
export function FileField({ label, accept, disabled = false, className = '', onFile }: Props) {
  return (
    <label
      className={`inline-flex min-h-11 cursor-pointer items-center underline underline-offset-4 focus-within:outline-3 focus-within:outline-offset-2 ${className}`}
    >
      {label}
      <input
        type="file"
        accept={accept}
        className="sr-only"
        disabled={disabled}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) onFile(file);
        }}
      />
    </label>
  );
}
