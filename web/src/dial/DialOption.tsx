import { IconAddressBook, IconParking, IconPhone, IconUsers } from '@tabler/icons-react';
import { useEffect, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { KeyCap } from '../ui/KeyCap';
import { Lamp } from '../people/Lamp';
import { QueueFigures } from './QueueFigures';
import { type Choice, meansMobile, numbersOf } from './choices';

interface Props {
  id: string;
  option: Choice;
  chosen: boolean;
  /** Which of its numbers is meant. */
  nth: number;
  /** When the mouse points at it; not given where a click only chooses. */
  onPoint?: () => void;
  onChoose: () => void;
}

/** One line of the dial field's results. The field itself handles the keys. */
export function DialOption({ id, option, chosen, nth, onPoint, onChoose }: Props) {
  const { t } = useTranslation();
  const line = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (chosen) {
      line.current?.scrollIntoView({ block: 'nearest' });
    }
  }, [chosen]);
  return (
    <li
      ref={line}
      id={id}
      role="option"
      aria-selected={chosen}
      className={`flex cursor-pointer items-center gap-3 rounded px-3 py-2 ${chosen ? 'bg-base-200 ring-base-content ring-1' : ''}`}
      onPointerMove={onPoint}
      onPointerDown={(event) => event.preventDefault()}
      onClick={onChoose}
      onKeyDown={undefined}
    >
      <OptionText option={option} nth={nth} />
      {chosen && onPoint && (
        <span className="flex shrink-0 items-center gap-2 font-semibold">
          {t('dial.call')} <KeyCap name="Enter" />
        </span>
      )}
    </li>
  );
}

/** How many further numbers there are, and the key that leads to them. */
function More({ option }: { option: Choice }) {
  const { t } = useTranslation();
  const more = numbersOf(option) - 1;
  return (
    more > 0 && (
      <span className="quiet shrink-0 text-sm">
        {t('dial.more', { count: more })} <KeyCap name="→" />
      </span>
    )
  );
}

function OptionText({ option, nth }: { option: Choice; nth: number }) {
  const { t } = useTranslation();
  if (option.kind === 'person') {
    const { person } = option;
    const mobile = meansMobile(option, nth);
    return (
      <>
        <Lamp lamp={person.lamp} />
        <span className="min-w-0 flex-1 truncate">
          <span className="font-semibold">{person.name}</span>{' '}
          <span className="quiet">
            {person.team} · {t(mobile ? 'numberType.MOBILE' : `lamp.${person.lamp}`)}
          </span>
        </span>
        <span className="shrink-0">{mobile ? person.mobile : person.extension}</span>
        <More option={option} />
      </>
    );
  }
  if (option.kind === 'contact') {
    const { contact } = option;
    const number = contact.numbers[nth] ?? contact.numbers[0];
    return (
      <>
        <IconAddressBook size={16} aria-hidden="true" className="shrink-0" />
        <span className="min-w-0 flex-1 truncate">
          <span className="font-semibold">{contact.title}</span>{' '}
          <span className="quiet">
            {[contact.subtitle, number && t(`numberType.${number.type}`)]
              .filter(Boolean)
              .join(' · ')}
          </span>
        </span>
        <span className="shrink-0">
          {number?.shown}
          {number?.extension && ` ${t('dial.extension', { digits: number.extension })}`}
        </span>
        <More option={option} />
      </>
    );
  }
  if (option.kind === 'group') {
    return (
      <>
        <IconUsers size={16} aria-hidden="true" />
        <span className="min-w-0 flex-1 truncate">
          <span className="font-semibold">{option.group.name}</span>{' '}
          <span className="quiet">
            {option.queue ? <QueueFigures queue={option.queue} /> : t('dial.group')}
          </span>
        </span>
        <span>{option.group.number}</span>
      </>
    );
  }
  if (option.kind === 'slot') {
    const { slot, label, waiting } = option.slot;
    return (
      <>
        <IconParking size={16} aria-hidden="true" />
        <span className="min-w-0 flex-1 truncate">
          <span className="font-semibold">{t('shelf.slot', { slot })}</span>{' '}
          <span className="quiet">
            {[label, waiting ? t('shelf.waits', { name: waiting.who.name }) : t('shelf.free')]
              .filter(Boolean)
              .join(' · ')}
          </span>
        </span>
        <span>{slot}</span>
      </>
    );
  }
  const { dial } = option;
  const notes = [
    dial.emergency ? t('dial.emergency') : dial.place,
    dial.messages ? t('dial.messages') : '',
    dial.accessCodeDropped ? t('dial.accessCode') : '',
    dial.afterAnswer
      ? t('dial.afterAnswer', { digits: dial.afterAnswer.replaceAll('p', ' ').trim() })
      : '',
  ];
  return (
    <>
      <IconPhone size={16} aria-hidden="true" />
      <span className="min-w-0 flex-1">
        <span className="font-semibold">{dial.shown}</span>{' '}
        <span className="quiet">{notes.filter(Boolean).join(' · ')}</span>
      </span>
    </>
  );
}
