import { type ComponentProps, type ReactNode, useId } from 'react';

interface Props extends Omit<ComponentProps<'select'>, 'onChange'> {
  readonly label: ReactNode;
  readonly children: ReactNode;
  /** What is wrong with it, in a sentence. */
  readonly wrong?: string | undefined;
  readonly onChange?: ((value: string) => void) | undefined;
}

/** One of several, from a list. */
export function SelectField({ label, children, wrong, onChange, id, ...rest }: Props) {
  const made = useId();
  const own = id ?? made;
  return (
    <div className="min-w-0">
      <label htmlFor={own} className="label">
        {label}
      </label>
      <select
        id={own}
        className="field"
        aria-invalid={Boolean(wrong)}
        aria-describedby={wrong ? `${own}-wrong` : undefined}
        onChange={(event) => onChange?.(event.target.value)}
        {...rest}
      >
        {children}
      </select>
      {wrong ? (
        <p id={`${own}-wrong`} role="alert" className="mt-1 text-[14px] text-brick">
          <span aria-hidden>✕ </span>
          {wrong}
        </p>
      ) : null}
    </div>
  );
}
