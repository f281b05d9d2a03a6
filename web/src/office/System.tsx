import { useTranslation } from 'react-i18next';
import type { SystemView } from '../api/types';
import { useNow } from '../live/now';
import { readersDate, shortMoment } from '../words/time';
import { Section } from './parts/Section';
import { useSystem } from './office';

type State = SystemView['state'];

const GB = 1e9;

/** How the installation stands: what runs, what is in use, what was refused. */
export function System() {
  const { t } = useTranslation();
  const system = useSystem();
  return (
    <Section
      id="system"
      title={t('office.system.title')}
      about={t('office.system.about')}
      keys={
        <a className="btn btn-sm btn-plain" href="/api/metrics" download="metrics.txt">
          {t('office.system.metrics')}
        </a>
      }
    >
      {system && <Figures {...system} />}
    </Section>
  );
}

function Figures({ alarms, state }: SystemView) {
  const { t } = useTranslation();
  const figures = useFigures(state);
  return (
    <>
      {alarms.length > 0 && (
        <ul className="border-warning mb-2 border-l-4 pl-3 font-semibold">
          {alarms.map((each) => (
            <li key={each}>{t(`notice.ALARM_${each}`)}</li>
          ))}
        </ul>
      )}
      <dl className="grid gap-x-8 sm:grid-cols-2">
        {figures.map(([name, value]) => (
          <div key={name} className="border-base-300 flex justify-between gap-4 border-t py-1">
            <dt className="quiet">{t(`office.system.${name}`)}</dt>
            <dd className="text-right">{value}</dd>
          </div>
        ))}
      </dl>
      <h3 className="mt-3 font-semibold">{t('office.system.refusedTitle')}</h3>
      {state.refused.length === 0 && <p className="quiet">{t('office.system.refusedNothing')}</p>}
      <ul className="sm:columns-2">
        {state.refused.map(({ what, count }) => (
          <li key={what} className="flex break-inside-avoid justify-between gap-4 py-0.5">
            <span>{t(`office.system.refusedWhat.${what}`, { defaultValue: what })}</span>
            <span>{count}</span>
          </li>
        ))}
      </ul>
    </>
  );
}

/** Each as its name and what is shown for it. */
function useFigures(state: State): [string, string][] {
  const { t } = useTranslation();
  const now = useNow();
  const { use, written, heard, room, version } = state;
  const gigabytes = (bytes: number) =>
    t('office.system.gigabytes', { count: Number((bytes / GB).toFixed(1)) });
  const day = (instant: string) =>
    readersDate(Date.parse(instant), { day: 'numeric', month: 'long', year: 'numeric' });
  return [
    ['calls', String(use.calls)],
    [
      'outsideLines',
      t('office.system.ofAll', { count: use.outsideLines, all: use.outsideLinesAll }),
    ],
    ['pages', String(use.pages)],
    ['database', t(written.away ? 'office.system.away' : 'office.system.there')],
    ['waiting', String(written.waiting)],
    ['sound', t(heard.runs ? 'office.system.runs' : 'office.system.stands')],
    ['connections', String(heard.connections)],
    ['late', t('office.system.ofAll', { count: heard.late, all: heard.frames })],
    ['disk', t('office.system.freeOf', { free: gigabytes(room.free), all: gigabytes(room.total) })],
    ['spools', gigabytes(room.waiting)],
    ['backup', state.lastBackup ? shortMoment(state.lastBackup, now) : t('office.system.never')],
    [
      'certificate',
      state.certificateEnds ? day(state.certificateEnds) : t('office.system.noCertificate'),
    ],
    ['started', shortMoment(state.started, now)],
    ['version', version.oficina],
    ['java', version.java],
    ['mariadb', `${version.database} (${version.schema})`],
  ];
}
