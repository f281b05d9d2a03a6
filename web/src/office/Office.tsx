import { useTranslation } from 'react-i18next';
import { Link } from 'wouter';
import { useMe } from '../session/session';
import { addWords } from '../words';
import { Access } from './access/Access';
import { Handling } from './Handling';
import { Identity } from './Identity';
import { Keeping } from './Keeping';
import { Lines } from './Lines';
import { Log } from './Log';
import { People } from './People';
import { Personal } from './Personal';
import { Places } from './Places';
import { Slots } from './Slots';
import { System } from './System';
import { useOffice } from './office';
import words from './words.view.en.json';

addWords(words);

/** In the order in which they stand. */
const TITLES = {
  identity: 'office.identity',
  people: 'office.people',
  places: 'office.places.title',
  lines: 'office.lines',
  slots: 'office.slots',
  handling: 'office.handling.title',
  access: 'office.access.title',
  keeping: 'office.keeping.title',
  personal: 'office.personal.title',
  system: 'office.system.title',
  log: 'office.log.title',
} as const;

const REGISTERS = Object.keys(TITLES) as (keyof typeof TITLES)[];

/** The registers of the office, and in the margin what they lack; on one page, also for the first set-up. */
export function Office() {
  const { t } = useTranslation();
  const me = useMe();
  const register = useOffice();
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] content-start items-start gap-3 lg:grid-cols-[minmax(0,1fr)_var(--people)] lg:overflow-y-auto">
      <h1 className="sr-only">{t('office.title')}</h1>
      <div className="flex min-w-0 flex-col gap-3">
        {register && <Identity register={register} />}
        <People />
        <Places />
        <Lines />
        <Slots />
        <Handling />
        <Access />
        <Keeping />
        <Personal />
        <System />
        {register && <Log zone={register.identity.zone} />}
      </div>
      <aside
        aria-label={t('office.lacks')}
        className="sheet px-4 py-3 max-lg:order-first lg:sticky lg:top-0"
      >
        <h2 className="font-bold">{t('office.lacks')}</h2>
        {register && register.missing.length > 0 ? (
          <ol className="mt-1 list-decimal pl-5">
            {register.missing.map((each) => (
              <li key={each} className="py-0.5">
                {t(`office.missing.${each}`)}
              </li>
            ))}
          </ol>
        ) : (
          <p className="mt-1">{register && t('office.complete')}</p>
        )}
        {register?.missing.length === 0 && me.standIns && (
          <p className="mt-2">
            <Link to="/outside" className="btn btn-sm btn-plain">
              {t('office.tryCall')}
            </Link>
          </p>
        )}
        <nav aria-label={t('office.registers')} className="border-base-300 mt-3 border-t pt-2">
          <ul>
            {REGISTERS.map((each) => (
              <li key={each}>
                <a href={`#${each}`} className="link link-hover block py-0.5">
                  {t(TITLES[each])}
                </a>
              </li>
            ))}
          </ul>
        </nav>
        <p className="quiet mt-2 text-sm">{t('office.more')}</p>
      </aside>
    </div>
  );
}
