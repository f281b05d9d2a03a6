import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { usePeople } from '../people/store';
import { LineForm } from './LineForm';
import { Section } from './parts/Section';
import { useLineRegister } from './office';

/** The lines that several people answer; a row opens where it stands. */
export function Lines() {
  const { t } = useTranslation();
  const people = usePeople((store) => store.people);
  const lines = useLineRegister();
  const [open, setOpen] = useState<number | 'new'>();
  const close = () => setOpen(undefined);
  const names = (members: number[]) =>
    members
      .map((id) => people.find((each) => each.id === id)?.name)
      .filter(Boolean)
      .join(', ');
  return (
    <Section
      id="lines"
      title={t('office.lines')}
      about={t('office.linesAbout')}
      keys={
        <button type="button" className="btn btn-sm btn-plain" onClick={() => setOpen('new')}>
          {t('office.addLine')}
        </button>
      }
    >
      {open === 'new' && <LineForm onClose={close} />}
      <ul>
        {lines?.map((row) => (
          <li key={row.id} className="border-base-300 border-t">
            {open === row.id ? (
              <LineForm row={row} onClose={close} />
            ) : (
              <div className="flex flex-wrap items-center gap-x-4 gap-y-1 py-1">
                <span className="min-w-40 font-semibold">{row.line.name}</span>
                <span>{row.line.extension}</span>
                <span>{row.line.number}</span>
                <span className="quiet min-w-0 flex-1 basis-60">{names(row.line.members)}</span>
                <button
                  type="button"
                  className="btn btn-sm btn-plain"
                  aria-label={t('office.changeWho', { name: row.line.name })}
                  onClick={() => setOpen(row.id)}
                >
                  {t('office.change')}
                </button>
              </div>
            )}
          </li>
        ))}
      </ul>
    </Section>
  );
}
