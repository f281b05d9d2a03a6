import { IconChevronUp } from '@tabler/icons-react';
import { useRef } from 'react';
import { useTranslation } from 'react-i18next';
import type { SpeedDialView } from '../api/types';
import { useDrop } from '../calls/drag';
import type { DropTarget } from '../calls/dropEffect';
import { callParty } from '../calls/services';
import { KeyCap } from '../ui/KeyCap';
import { useShelf } from '../park/store';
import { Lamp } from '../people/Lamp';
import { usePeople } from '../people/store';

interface Props {
  dial: SpeedDialView;
  /** Which digit calls it, together with Alt. */
  digit?: number;
}

/** One key: a paper tab with lamp, name and number. */
export function SpeedKey({ dial, digit }: Props) {
  const { t } = useTranslation();
  const lamp = usePeople((store) => store.people.find((each) => each.id === dial.person)?.lamp);
  const slot = useShelf((store) =>
    dial.kind === 'SLOT' ? store.slots.find((each) => each.slot === dial.of) : undefined,
  );
  const name = dial.label || dial.name;
  const target: DropTarget = slot
    ? { kind: 'slot', slot }
    : { kind: 'person', person: { name, extension: dial.dial ?? '' } };
  const { setNode, over } = useDrop(target);
  const about = { name, shown: dial.shown };
  return (
    <li
      ref={setNode}
      className={`sheet border-t-primary flex max-w-52 min-w-28 flex-1 shrink-0 items-stretch rounded-t-lg border-t-2 ${over ? 'drop-here' : ''}`}
    >
      <button
        type="button"
        aria-label={
          lamp
            ? t('speed.callState', { ...about, state: t(`lamp.${lamp}`) })
            : t('speed.call', about)
        }
        disabled={!dial.dial}
        className="flex min-w-0 flex-1 items-center gap-2 px-2 py-1 text-left leading-tight disabled:opacity-60"
        onClick={() => void callParty({ dial: dial.dial })}
      >
        {lamp && <Lamp lamp={lamp} />}
        {dial.picture && (
          <img src={dial.picture} alt={name} className="h-8 w-8 rounded object-cover" />
        )}
        <span className="min-w-0 flex-1">
          <span className="block truncate text-[0.8125rem] font-semibold">{name}</span>
          <span className="quiet block truncate text-xs">
            {dial.dial ? dial.shown : t('speed.gone')}
          </span>
        </span>
        {digit && (
          <span className="max-sm:hidden">
            <KeyCap name={`Alt ${digit}`} />
          </span>
        )}
      </button>
      {dial.numbers.length > 1 && <Numbers dial={dial} name={name} />}
    </li>
  );
}

/** All numbers of the contact a key is for, in a small sheet above it. */
function Numbers({ dial, name }: { dial: SpeedDialView; name: string }) {
  const { t } = useTranslation();
  const sheet = useRef<HTMLDivElement>(null);
  const id = `numbers-${dial.id}`;
  return (
    <>
      <button
        type="button"
        popoverTarget={id}
        aria-label={t('speed.numbers', { name })}
        className="border-base-300 hover:bg-base-200 border-l px-1"
      >
        <IconChevronUp size={14} aria-hidden="true" />
      </button>
      <div
        ref={sheet}
        id={id}
        popover="auto"
        className="sheet text-base-content m-auto p-3 shadow-lg"
      >
        <p className="mb-2 font-bold">{name}</p>
        <ul className="flex flex-col gap-1">
          {dial.numbers.map((each) => (
            <li key={each.dial}>
              <button
                type="button"
                className="btn btn-sm btn-plain w-full justify-start"
                onClick={() => {
                  sheet.current?.hidePopover();
                  void callParty({ dial: each.dial });
                }}
              >
                {t('speed.number', { type: t(`numberType.${each.type}`), shown: each.shown })}
              </button>
            </li>
          ))}
        </ul>
      </div>
    </>
  );
}
