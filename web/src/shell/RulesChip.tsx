import { useTranslation } from 'react-i18next';
import { Link } from 'wouter';
import { useLine } from '../live/line';
import { useSummary } from '../rules/summary';

/** What becomes of calls to me, in one line that leads to the rules; a row of its own where the band is narrow. */
export function RulesChip({ open, title }: { open: boolean; title: string }) {
  const { t } = useTranslation();
  const live = useLine((line) => line.connection === 'live');
  const summary = useSummary();
  return (
    <Link
      to="/rules"
      title={title}
      aria-current={open ? 'page' : undefined}
      className={`chip flex h-10 flex-col justify-center px-3 text-sm leading-tight max-md:order-last max-md:mb-1.5 max-md:h-7 max-md:w-full max-md:flex-row max-md:items-center max-md:justify-start max-md:gap-2 ${open ? 'ring-1 ring-current' : ''}`}
    >
      <span className="font-semibold">{t('tab.rules')}</span>{' '}
      <span className="block max-w-56 truncate text-xs opacity-80 lg:max-xl:max-w-36 max-md:max-w-none">
        {live && summary}
      </span>
    </Link>
  );
}
