import { useTranslation } from 'react-i18next';
import type { MessageView } from '../api/types';
import { nameOf } from '../calls/order';
import { useNow } from '../live/now';
import { useSwipe } from '../ui/useSwipe';
import { clockTime, dayOf, dayTitle, timeOfDay } from '../words/time';
import { remove } from './messages';

interface Props {
  messages: MessageView[];
  open: number | undefined;
  /** Those chosen to do something with all of them. */
  chosen: ReadonlySet<number>;
  onOpen: (id: number) => void;
  onChoose: (id: number, chosen: boolean) => void;
}

/** The messages, latest first: a lamp for new, who, when, how long, the first words. */
export function Tray({ messages, open, chosen, onOpen, onChoose }: Props) {
  const { t } = useTranslation();
  const now = useNow();
  return (
    <ul aria-label={t('voicemail.messages')}>
      {messages.map((message, index) => {
        const before = messages[index - 1];
        const first = !before || dayOf(before.began) !== dayOf(message.began);
        return (
          <li key={message.id} className="overflow-hidden">
            {first && (
              <h2 className="bg-base-200 border-base-300 border-b px-4 py-1 text-sm font-bold">
                {dayTitle(message.began, now)}
              </h2>
            )}
            <Row
              message={message}
              open={message.id === open}
              chosen={chosen.has(message.id)}
              onOpen={() => onOpen(message.id)}
              onChoose={(on) => onChoose(message.id, on)}
            />
          </li>
        );
      })}
    </ul>
  );
}

interface RowProps {
  message: MessageView;
  open: boolean;
  chosen: boolean;
  onOpen: () => void;
  onChoose: (chosen: boolean) => void;
}

/** A finger that pulls it to the side removes it; the notice brings it back. */
function Row({ message, open, chosen, onOpen, onChoose }: RowProps) {
  const { t } = useTranslation();
  const name = nameOf(message.who, t('party.withheld'));
  const swipe = useSwipe(() => void remove([message.id]));
  return (
    <div
      {...swipe}
      className={`border-base-300 flex items-start gap-2 border-b border-l-4 py-2 pr-3 pl-2 ${
        open ? 'border-l-primary bg-primary/12' : 'hover:bg-base-200/60 border-l-transparent'
      }`}
    >
      <input
        type="checkbox"
        checked={chosen}
        aria-label={t('voicemail.chooseOne', { name })}
        onChange={(event) => onChoose(event.target.checked)}
        className="checkbox checkbox-xs checkbox-primary mt-1"
      />
      <button
        type="button"
        aria-current={open || undefined}
        className="min-w-0 flex-1 text-left"
        onClick={onOpen}
      >
        <span className="flex items-baseline gap-2">
          <span
            aria-hidden="true"
            className={`border-base-content/60 size-2.5 shrink-0 self-center rounded-[2px] border ${message.fresh ? 'bg-accent' : ''}`}
          />
          <span className={`truncate ${message.fresh ? 'font-bold' : ''}`}>
            {message.fresh && <span className="sr-only">{t('voicemail.fresh')} </span>}
            {name}
          </span>
          <span className="quiet truncate text-sm">{about(message, t)}</span>
          <span className="quiet ml-auto shrink-0 text-sm">
            {timeOfDay(message.began)} · {clockTime(message.length)}
          </span>
        </span>
        <span className="quiet block truncate pl-[1.15rem] text-sm">
          {message.firstWords || t(`voicemail.first.${message.transcript}`)}
        </span>
      </button>
    </div>
  );
}

function about(message: MessageView, t: ReturnType<typeof useTranslation>['t']): string {
  return [
    message.line,
    message.dealt &&
      t(message.dealt.mine ? 'voicemail.doneByMe' : 'voicemail.doneBy', {
        name: message.dealt.name,
      }),
    message.passedBy && t('voicemail.passedBy', { name: message.passedBy }),
  ]
    .filter(Boolean)
    .join(' · ');
}
