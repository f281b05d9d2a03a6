import { useTranslation } from 'react-i18next';
import type { SegmentView } from '../api/types';
import { useNow } from '../live/now';
import { clockTime } from '../words/time';
import { ROOM_FOR_WORDS, type Stretch, inWords, stretches } from './cord';

interface Props {
  course: SegmentView[];
  now: number;
  /** How many stretches came before these, which are not drawn. */
  earlier?: number;
  /** Whether words stand below the stretches that have room for them. */
  words?: boolean;
  /** Whether it takes the whole width, however short the call was. */
  whole?: boolean;
}

/** The cord of a call in progress, growing by itself. */
export function LiveCord(props: Omit<Props, 'now'>) {
  return <Cord {...props} now={useNow()} />;
}

/** A call drawn as a ribbon that grows from left to right and shows its whole course. */
export function Cord({ course, now, earlier = 0, words = false, whole = false }: Props) {
  const { t } = useTranslation();
  const { all, length } = stretches(course, now);
  const said = (segment: SegmentView) =>
    segment.mine || !['TALKING', 'CONFERENCE'].includes(segment.kind)
      ? t(`cord.${segment.kind}`, { who: segment.who.join(', ') })
      : t('cord.others', { who: segment.who.join(', ') });
  const word = ({ segment, moved }: Stretch) =>
    moved ? t('cord.moved', { word: said(segment) }) : said(segment);

  return (
    <div
      role="img"
      aria-label={t(earlier > 0 ? 'cord.lastOfCourse' : 'cord.course', {
        course: inWords(all, word),
        count: earlier,
      })}
      className="flex"
      style={{ width: `${whole ? 100 : length}%` }}
    >
      {earlier > 0 && (
        <span className="quiet pr-1 text-xs leading-none">
          {t('cord.earlier', { count: earlier })}
        </span>
      )}
      {all.map((stretch) => (
        <div
          key={stretch.segment.from + stretch.segment.kind}
          style={{ flex: `${stretch.width} 1 0` }}
          className="min-w-[7px]"
        >
          <div className={`cord-stretch ${look(stretch)}`} />
          {words && stretch.width * (whole ? 1 : length / 100) >= ROOM_FOR_WORDS && (
            <p className="quiet mt-1 truncate text-xs">
              {word(stretch)} {clockTime(stretch.lasted)}
            </p>
          )}
        </div>
      ))}
    </div>
  );
}

function look({ segment, open, moved }: Stretch): string {
  const past = open ? '' : 'cord-past';
  return `cord-${segment.kind} ${segment.mine ? past : 'cord-others'} ${moved ? 'cord-moved' : ''}`;
}
