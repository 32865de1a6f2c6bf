import type { InputHTMLAttributes, ReactNode } from 'react';
import { get, useFormContext } from 'react-hook-form';
import { SelectField } from '../../parts/SelectField.tsx';
import type { WishFormValues } from './wishForm.ts';

interface Props extends InputHTMLAttributes<HTMLInputElement> {
  readonly name: string;
  readonly label: string;
  readonly after?: string;
  readonly hideLabel?: boolean;
}

/** The sentence that stands under a field that will not do. */
export function FieldError({ name }: { name: string }) {
  const { formState } = useFormContext<WishFormValues>();
  const message = (get(formState.errors, name) as { message?: string } | undefined)?.message;
  if (!message) return null;
  return (
    <p id={`${name}-wrong`} role="alert" className="mt-1 text-[14px] text-brick">
      <span aria-hidden>✕ </span>
      {String(message)}
    </p>
  );
}

/** A typed field with its label and, when it is wrong, what to do. */
export function Field({ name, label, after, hideLabel = false, className = '', ...rest }: Props) {
  const { register, formState } = useFormContext<WishFormValues>();
  const wrong = Boolean(get(formState.errors, name));
  return (
    <div className="min-w-0">
      <label htmlFor={name} className={hideLabel ? 'sr-only' : 'label'}>
        {label}
      </label>
      <span className="flex items-center gap-2">
        <input
          id={name}
          className={`field ${className}`}
          aria-invalid={wrong}
          aria-describedby={wrong ? `${name}-wrong` : undefined}
          autoComplete="off"
          {...rest}
          {...register(name as 'title')}
        />
        {after ? <span className="shrink-0 text-[15px] text-soft">{after}</span> : null}
      </span>
      <FieldError name={name} />
    </div>
  );
}

/** One of several, at its path in the wish. */
export function SelectOf({ name, label, children }: { name: string; label: ReactNode; children: ReactNode }) {
  const { register, formState } = useFormContext<WishFormValues>();
  const { onChange, ...registered } = register(name as 'title');
  const wrong = (get(formState.errors, name) as { message?: string } | undefined)?.message;
  return (
    <SelectField
      id={name}
      label={label}
      wrong={wrong}
      onChange={(value) => void onChange({ target: { name, value }, type: 'change' })}
      {...registered}
    >
      {children}
    </SelectField>
  );
}

/** A part of the wish: a question at the left, its answer at the right. */
export function Part({ title, hint, children }: { title: ReactNode; hint?: string; children: ReactNode }) {
  return (
    <section className="grid gap-x-8 gap-y-3 border-b border-rule py-6 [contain-intrinsic-block-size:auto_300px] [content-visibility:auto] md:grid-cols-[170px_minmax(0,1fr)]">
      <div>
        <h2 className="text-[19px]">{title}</h2>
        {hint ? <p className="mt-1 text-[14px] text-soft">{hint}</p> : null}
      </div>
      <div className="min-w-0">{children}</div>
    </section>
  );
}
