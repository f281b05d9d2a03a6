import { TypedField, type TypedProps } from './TypedField';
import { momentFrom, momentText, timeFrom, timeText } from './moment';

interface Props extends TypedProps {
  /** As 2026-11-26T14:30, by the clocks of the office; empty for none. */
  moment: string;
  onChange?: (moment: string) => void;
}

/** A moment, typed as one says it: in 2 h, tomorrow 9, mon 14:30. */
export function MomentField({ moment, ...field }: Props) {
  return (
    <TypedField {...field} value={moment} read={momentFrom} show={momentText} words="moment" />
  );
}

interface TimeProps extends TypedProps {
  /** As 14:30; empty for none. */
  time: string;
  onChange?: (time: string) => void;
}

/** A time of day, typed as one says it: 9, 9:30, 5 pm. */
export function TimeField({ time, ...field }: TimeProps) {
  return <TypedField {...field} value={time} read={timeFrom} show={timeText} words="time" />;
}
