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

/** Label, hint and message round one control, tied together for those who do not see them. */
function Framed({
  label,
  hint,
  wrong,
  className = '',
  control,
}: Frame & { className?: string | undefined; control(tied: Tied): ReactNode }) {
  const id = useId();
  return (
    <div className={`field ${className}`}>
      <label htmlFor={id}>{label}</label>
      {control({
        id,
        className: 'input',
        'aria-invalid': wrong ? true : undefined,
        'aria-describedby': `${id}-s`,
      })}
      <span id={`${id}-s`}>{wrong ? <Wrong>{wrong}</Wrong> : hint ? <small>{hint}</small> : null}</span>
    </div>
  );
}

interface Tied {
  id: string;
  className: string;
  'aria-invalid': true | undefined;
  'aria-describedby': string;
}

/** A line to type into, with its label, hint and message. */
export const TextField = ({
  label,
  hint,
  wrong,
  className,
  inside,
  ...rest
}: Frame &
  ComponentProps<'input'> & {
    /** a small button at the end of the line */
    inside?: ReactNode;
  }) => (
  <Framed
    label={label}
    hint={hint}
    wrong={wrong}
    className={className}
    control={(tied) =>
      inside ? (
        <span className="relative grid [&>input]:pr-12">
          <input {...rest} {...tied} />
          {inside}
        </span>
      ) : (
        <input {...rest} {...tied} />
      )
    }
  />
);

/** Several lines to type into. */
export const AreaField = ({ label, hint, wrong, className, ...rest }: Frame & ComponentProps<'textarea'>) => (
  <Framed
    label={label}
    hint={hint}
    wrong={wrong}
    className={className}
    control={(tied) => <textarea {...rest} {...tied} />}
  />
);

/** A choice from a list too long to lay out. */
export const SelectField = ({ label, hint, wrong, className, ...rest }: Frame & ComponentProps<'select'>) => (
  <Framed
    label={label}
    hint={hint}
    wrong={wrong}
    className={className}
    control={(tied) => <select {...rest} {...tied} />}
  />
);

interface ChoiceProps extends Frame {
  name: string;
  options: { value: string; words: ReactNode }[];
  value: string | string[];
  many?: boolean;
  onPick(value: string): void;
  hideLabel?: boolean;
}

/** A list with one value more, or without it when it was there. */
export const toggled = <T,>(list: T[], value: T): T[] =>
  list.includes(value) ? list.filter((x) => x !== value) : [...list, value];

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
