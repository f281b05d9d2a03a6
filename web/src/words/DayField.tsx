import { TypedField, type TypedProps } from './TypedField';
import { dayFrom, dayText } from './day';

interface Props extends TypedProps {
  /** As 2026-11-26; empty for none. */
  day: string;
  onChange?: (day: string) => void;
  /** Whether days that have been are meant. */
  past?: boolean;
}

/** A day, typed as one says it. */
export function DayField({ day, past = false, ...field }: Props) {
  return (
    <TypedField
      {...field}
      value={day}
      read={(typed, now) => dayFrom(typed, now, past)}
      show={dayText}
      words="day"
    />
  );
}
