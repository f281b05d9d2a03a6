import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import type { DependantView } from '../../api/types';

interface Props {
  label: string;
  /** What it would mean in any case. */
  means: string;
  /** Absent as long as it is not known. */
  dependants?: DependantView[];
  /** What else would be different, a line each. */
  more?: string[];
  /** Said when nothing is different for anybody. */
  none: string;
  /** With what it is done. */
  children: ReactNode;
}

/** What it would mean for whom, before somebody or something is taken out of the office. */
export function Consequences({ label, means, dependants, more = [], none, children }: Props) {
  const { t } = useTranslation();
  return (
    <div role="group" aria-label={label} className="border-accent mt-3 border-l-4 pl-3">
      <p className="font-semibold">{means}</p>
      <ul className="list-disc pl-5">
        {dependants?.map((each) => (
          <li key={each.how + each.name}>
            {t(`office.dependant.${each.how}`, { name: each.name })}
          </li>
        ))}
        {more.map((each) => (
          <li key={each}>{each}</li>
        ))}
      </ul>
      {dependants && dependants.length + more.length === 0 && <p className="quiet">{none}</p>}
      <div className="mt-2 flex flex-wrap items-end gap-3">{children}</div>
    </div>
  );
}
