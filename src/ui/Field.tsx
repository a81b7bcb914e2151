import { type ComponentProps, type ReactNode, useId } from 'react';
import { Warn } from './Signs';

/** A message where something was typed wrong. */
export const Wrong = ({ id, children }: { id?: string; children: ReactNode }) => (
  <span className="wrong" id={id} role="alert">
    <Warn /> <span>{children}</span>
  </span>
);

interface Frame {
  label: string;
  hint?: ReactNode;
  wrong?: string | undefined;
}

/** A line to type into, with its label, hint and message. */
export function TextField({ label, hint, wrong, className = '', ...rest }: Frame & ComponentProps<'input'>) {
  const id = useId();
  return (
    <div className={`field ${className}`}>
      <label htmlFor={id}>{label}</label>
      <input
        {...rest}
        id={id}
        className="input"
        aria-invalid={wrong ? true : undefined}
        aria-describedby={`${id}-s`}
      />
      <span id={`${id}-s`}>{wrong ? <Wrong>{wrong}</Wrong> : hint ? <small>{hint}</small> : null}</span>
    </div>
  );
}

/** Several lines to type into. */
export function AreaField({
  label,
  hint,
  wrong,
  className = '',
  ...rest
}: Frame & ComponentProps<'textarea'>) {
  const id = useId();
  return (
    <div className={`field ${className}`}>
      <label htmlFor={id}>{label}</label>
      <textarea
        {...rest}
        id={id}
        className="input"
        aria-invalid={wrong ? true : undefined}
        aria-describedby={`${id}-s`}
      />
      <span id={`${id}-s`}>{wrong ? <Wrong>{wrong}</Wrong> : hint ? <small>{hint}</small> : null}</span>
    </div>
  );
}

/** A choice from a list too long to lay out. */
export function SelectField({
  label,
  hint,
  wrong,
  className = '',
  children,
  ...rest
}: Frame & ComponentProps<'select'>) {
  const id = useId();
  return (
    <div className={`field ${className}`}>
      <label htmlFor={id}>{label}</label>
      <select
        {...rest}
        id={id}
        className="input"
        aria-invalid={wrong ? true : undefined}
        aria-describedby={`${id}-s`}
      >
        {children}
      </select>
      <span id={`${id}-s`}>{wrong ? <Wrong>{wrong}</Wrong> : hint ? <small>{hint}</small> : null}</span>
    </div>
  );
}

interface ChoiceProps extends Frame {
  name: string;
  options: { value: string; words: ReactNode }[];
  value: string | string[];
  many?: boolean;
  onPick(value: string): void;
  hideLabel?: boolean;
}

/** A few answers laid side by side: one of them, or with `many` any of them. */
export function Choices({ label, hint, wrong, name, options, value, many, onPick, hideLabel }: ChoiceProps) {
  const picked = (v: string) => (Array.isArray(value) ? value.includes(v) : value === v);
  return (
    <fieldset className="field">
      <legend className={hideLabel ? 'sr-only' : 'field-label mb-1'}>{label}</legend>
      <div className="choices">
        {options.map((o) => (
          <label key={o.value}>
            <input
              type={many ? 'checkbox' : 'radio'}
              name={name}
              value={o.value}
              checked={picked(o.value)}
              onChange={() => onPick(o.value)}
            />
            <span className="dot" aria-hidden="true" />
            {o.words}
          </label>
        ))}
      </div>
      {wrong ? <Wrong>{wrong}</Wrong> : hint ? <small>{hint}</small> : null}
    </fieldset>
  );
}
