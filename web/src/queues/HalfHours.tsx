import type { FiguresView } from '../api/types';
import { halfHour } from './figures';

type Half = FiguresView['halfHours'][number];

const HEIGHT = 120;
/** A usual working day, which is shown even when nothing came. */
const FROM = 16;
const TO = 34;

const sum = (half?: Half) => (half ? half.inTime + half.later + half.givenUp + half.elsewhere : 0);

/**
 * The day as a row of half hours, whose columns use the fills of the cord; the week before as an outline behind.
 * Drawn like the cord, without a library: the table beneath tells the same to whoever does not see it.
 */
export function HalfHours({ figures }: { figures: FiguresView }) {
  const slots = [...figures.halfHours, ...figures.before].map((each) => each.slot);
  const first = Math.min(FROM, ...slots);
  const last = Math.max(TO, ...slots);
  const most = Math.max(4, ...figures.halfHours.map(sum), ...figures.before.map(sum));
  const high = (calls: number) => (HEIGHT * calls) / most;
  const all = Array.from({ length: last - first + 1 }, (_, index) => first + index);
  return (
    <div aria-hidden="true" className="mt-3 flex items-end gap-1 overflow-x-auto pt-1">
      {all.map((slot) => {
        const half = figures.halfHours.find((each) => each.slot === slot);
        const before = figures.before.find((each) => each.slot === slot);
        return (
          <div key={slot} className="min-w-6 flex-1">
            <div className="relative flex flex-col-reverse" style={{ height: HEIGHT }}>
              <div
                className="border-base-content/40 absolute inset-x-0 bottom-0 border border-b-0"
                style={{ height: high(sum(before)), opacity: before ? 1 : 0 }}
              />
              <div className="bg-primary mx-0.5" style={{ height: high(half?.inTime ?? 0) }} />
              <div className="bar-later mx-0.5" style={{ height: high(half?.later ?? 0) }} />
              <div className="bar-gave-up mx-0.5" style={{ height: high(half?.givenUp ?? 0) }} />
              <div
                className="bar-elsewhere mx-0.5"
                style={{ height: high(half?.elsewhere ?? 0) }}
              />
            </div>
            <p className="quiet border-base-content/40 border-t text-center text-[0.6875rem]">
              {slot % 2 === 0 ? halfHour(slot) : '\u00a0'}
            </p>
          </div>
        );
      })}
    </div>
  );
}
