import { IconSearch } from '@tabler/icons-react';

interface Props {
  label: string;
  text: string;
  onType: (text: string) => void;
  /** How wide it is, and where it stands. */
  look: string;
}

/** A field that finds while one types. */
export function SearchField({ label, text, onType, look }: Props) {
  return (
    <label className={`input input-sm bg-base-100 max-sm:w-full ${look}`}>
      <IconSearch size={16} aria-hidden="true" />
      <input
        type="search"
        aria-label={label}
        placeholder={label}
        maxLength={100}
        value={text}
        onChange={(event) => onType(event.target.value)}
      />
    </label>
  );
}
