import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNow } from '../live/now';

/** What is common to all fields in which one types something as one says it. */
export interface TypedProps {
  /** In a form: under this name stands what is meant. */
  name?: string;
  label?: string;
  required?: boolean;
  look?: string;
}

interface Props extends TypedProps {
  /** What is meant, as the server has it; empty for nothing. */
  value: string;
  /** Only with what is understood, or with nothing. */
  onChange?: (value: string) => void;
  /** What is meant by what was typed; null when there is no telling. */
  read: (typed: string, now: number) => string | null;
  /** How it stands in the field. */
  show: (value: string) => string;
  /** Where its words are in the catalogue: `example`, `how` and `unknown`. */
  words: 'day' | 'moment' | 'time';
}

/** A field for something that is typed as one says it, in the reader's own words and order. */
export function TypedField(props: Props) {
  const { name, label, value, onChange, read, show, words, required = false, look = '' } = props;
  const { t } = useTranslation();
  const now = useNow();
  const [typed, setTyped] = useState<string>();
  const [own, setOwn] = useState(value);
  const [left, setLeft] = useState(false);
  const meant = onChange ? value : own;
  const understood = typed === undefined || typed.trim() === '' || read(typed, now) !== null;

  function take(text: string) {
    setTyped(text);
    const said = text.trim() === '' ? '' : read(text, now);
    if (said !== null) {
      setOwn(said);
      onChange?.(said);
    }
  }
  return (
    <span className="relative inline-block">
      <input
        type="text"
        aria-label={label}
        aria-invalid={!understood}
        placeholder={t(`${words}.example`)}
        title={t(`${words}.how`)}
        autoComplete="off"
        maxLength={40}
        required={required}
        className={`input bg-base-100 text-base-content ${understood ? '' : 'input-error'} ${look}`}
        value={typed ?? show(meant)}
        ref={(field) => field?.setCustomValidity(understood ? '' : t(`${words}.unknown`))}
        onChange={(event) => take(event.target.value)}
        onFocus={() => setLeft(false)}
        onBlur={() => {
          setLeft(true);
          setTyped(understood ? undefined : typed);
        }}
      />
      {left && !understood && (
        // Covers what is beneath: nothing moves because something was mistyped.
        <span
          role="alert"
          className="bg-base-100 border-error text-error absolute top-full left-0 z-20 mt-1 rounded border px-2 py-1 text-sm whitespace-nowrap"
        >
          {t(`${words}.unknown`)}
        </span>
      )}
      {name && <input type="hidden" name={name} value={meant} />}
    </span>
  );
}
