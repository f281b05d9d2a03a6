import { useId, type ReactNode } from 'react';

interface Props {
  label: string;
  name: string;
  value: string | number;
  /** What is said beneath it. */
  hint?: string;
  required?: boolean;
  type?: 'text' | 'number' | 'email' | 'password';
  longest?: number;
  /** The least and the most of a number. */
  between?: readonly [number, number];
  look?: string;
  placeholder?: string;
  /** What one may choose instead of typing. */
  offered?: string[];
  children?: ReactNode;
}

/** One line of a register that is being written. */
export function Field(props: Props) {
  const { label, name, value, hint, required, type = 'text', longest = 80, look = '' } = props;
  const list = useId();
  return (
    <label className={`flex flex-col ${look}`}>
      <span className="text-sm">{label}</span>
      <input
        type={type}
        name={name}
        required={required}
        maxLength={type === 'number' ? undefined : longest}
        min={type === 'number' ? (props.between?.[0] ?? 1) : undefined}
        max={props.between?.[1]}
        autoComplete={type === 'password' ? 'new-password' : 'off'}
        placeholder={props.placeholder}
        defaultValue={value}
        list={props.offered?.length ? list : undefined}
        className="input bg-base-100 mt-0.5 w-full"
      />
      {props.offered && (
        <datalist id={list}>
          {props.offered.map((each) => (
            <option key={each} value={each} />
          ))}
        </datalist>
      )}
      {hint && <span className="quiet mt-0.5 text-sm">{hint}</span>}
      {props.children}
    </label>
  );
}
