interface Props {
  name: string;
  label: string;
  type?: string;
  autoComplete: string;
}

/** A labelled field of a form. */
export function Field({ name, label, type = 'text', autoComplete }: Props) {
  return (
    <label className="mb-4 block font-semibold">
      {label}
      <input
        name={name}
        type={type}
        autoComplete={autoComplete}
        autoCapitalize="none"
        spellCheck={false}
        required
        maxLength={200}
        className="input bg-base-100 mt-1 w-full text-base font-normal"
      />
    </label>
  );
}
