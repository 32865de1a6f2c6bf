import { type InputHTMLAttributes, type ReactNode, useId } from 'react';

interface Props extends Omit<InputHTMLAttributes<HTMLInputElement>, 'onChange'> {
  readonly label: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  /** What is wrong with it, in a sentence. */
  readonly wrong?: string | undefined;
  readonly after?: ReactNode;
}

/** A typed field of a small form, with its label and, where it is wrong, what to do. */
export function TextField({ label, value, onChange, wrong, after, className = '', ...rest }: Props) {
  const id = useId();
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="label">
        {label}
      </label>
      <span className="flex items-center gap-2">
        <input
          id={id}
          className={`field ${className}`}
          value={value}
          autoComplete="off"
          aria-invalid={Boolean(wrong)}
          aria-describedby={wrong ? `${id}-wrong` : undefined}
          onChange={(event) => onChange(event.target.value)}
          {...rest}
        />
        {after ? <span className="shrink-0 text-[15px] text-soft">{after}</span> : null}
      </span>
      {wrong ? (
        <p id={`${id}-wrong`} role="alert" className="mt-1 text-[14px] text-brick">
          <span aria-hidden>✕ </span>
          {wrong}
        </p>
      ) : null}
    </div>
  );
}
