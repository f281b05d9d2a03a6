import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNow } from '../live/now';
import { dayFrom, dayText } from './day';

interface Props {
  /** In a form: under this name stands the day. */
  name?: string;
  label?: string;
  /** As 2026-11-26; empty for none. */
  day: string;
  /** Only with a day that is one, or with none. */
  onChange?: (day: string) => void;
  required?: boolean;
  /** Whether days that have been are meant. */
  past?: boolean;
  look?: string;
}

/** A day, typed as one says it, in the reader's own words and order. */
export function DayField(props: Props) {
  const { name, label, day, onChange, required = false, past = false, look = '' } = props;
  const { t } = useTranslation();
  const now = useNow();
  const [typed, setTyped] = useState<string>();
  const [own, setOwn] = useState(day);
  const [left, setLeft] = useState(false);
  const meant = onChange ? day : own;
  const read = (text: string) => dayFrom(text, now, past);
  const understood = typed === undefined || typed.trim() === '' || read(typed) !== null;

  function take(text: string) {
    setTyped(text);
    const said = text.trim() === '' ? '' : read(text);
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
        placeholder={t('day.example')}
        title={t('day.how')}
        autoComplete="off"
        maxLength={40}
        required={required}
        className={`input bg-base-100 text-base-content ${understood ? '' : 'input-error'} ${look}`}
        value={typed ?? dayText(meant)}
        ref={(field) => field?.setCustomValidity(understood ? '' : t('day.unknown'))}
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
          {t('day.unknown')}
        </span>
      )}
      {name && <input type="hidden" name={name} value={meant} />}
    </span>
  );
}
