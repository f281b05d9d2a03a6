import { useTranslation } from 'react-i18next';
import { PartInLine } from '../lines/PartInLine';
import { useLines } from '../lines/lines';

/** The lines of the office, who takes part in each, and my own switch in those that are mine. */
export function Lines() {
  const { t } = useTranslation();
  const lines = useLines(/* watched= */ true);
  if (lines.length === 0) {
    return null;
  }
  return (
    <section aria-label={t('rules.lines')} className="sheet mt-3 px-4 py-2.5">
      <h2 className="font-bold">{t('rules.lines')}</h2>
      <ul>
        {lines.map((line) => {
          const names = line.members.filter((each) => each.takesPart).map((each) => each.name);
          return (
            <li key={line.id} className="flex flex-wrap items-center gap-x-3 py-1">
              {line.mine && <PartInLine line={line} />}
              <span className="font-semibold">{line.name}</span>
              <span className="quiet">{line.extension}</span>
              <span className="quiet min-w-0 flex-1 text-sm">
                {[
                  !line.open && t('rules.closedNow'),
                  names.length > 0
                    ? t('rules.takePart', { names: names.join(', ') })
                    : t('rules.nobodyTakesPart'),
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
