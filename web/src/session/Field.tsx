import { useEffect, useRef } from 'react';

interface Props {
  name: string;
  label: string;
  type?: string;
  autoComplete: string;
  /** What is said beneath it. */
  hint?: string;
  /** Whether one types there at once, when it appears because it is asked for. */
  focused?: boolean;
}

/** A labelled field of a form. */
export function Field({ name, label, type = 'text', autoComplete, hint, focused }: Props) {
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (focused) {
      input.current?.focus();
    }
  }, [focused]);
  return (
    <label className="mb-4 block font-semibold">
      {label}
      <input
        ref={input}
        name={name}
        type={type}
        autoComplete={autoComplete}
        autoCapitalize="none"
        spellCheck={false}
        required
        maxLength={200}
        className="input bg-base-100 mt-1 w-full text-base font-normal"
      />
      {hint && <span className="quiet mt-1 block text-sm font-normal">{hint}</span>}
    </label>
  );
}
