import { Suspense, lazy, useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useKeys } from '../ui/keys';
import { callParty } from '../calls/services';
import { SpeedKey } from './SpeedKey';
import { useSpeedDials } from './speedDials';

const Arrange = lazy(() => import('./Arrange').then((it) => ({ default: it.Arrange })));

const MOST_BY_KEY = 9;

/** My keys, above the park slots: called by a click or by Alt and a digit, and calls are dropped on them. */
export function SpeedDials() {
  const { t } = useTranslation();
  const dials = useSpeedDials() ?? [];
  const [page, setPage] = useState(1);
  const [arranging, setArranging] = useState(false);
  const pages = [...new Set(dials.map((dial) => dial.page))].sort((a, b) => a - b);
  const shownPage = pages.includes(page) ? page : (pages[0] ?? 1);
  const shown = dials.filter((dial) => dial.page === shownPage);
  useKeys(
    useMemo(
      () =>
        Array.from({ length: MOST_BY_KEY }, (_, index) => ({
          key: String(index + 1),
          alt: 'with' as const,
          run: () => {
            const dial = shown[index]?.dial;
            return dial ? void callParty({ dial }) : false;
          },
        })),
      [shown],
    ),
  );
  if (dials.length === 0) {
    return null;
  }
  return (
    <section aria-label={t('speed.title')} className="flex min-w-0 items-stretch gap-1.5">
      <ul className="flex min-w-0 flex-1 gap-1.5 overflow-x-auto py-0.5">
        {shown.map((dial, index) => (
          <SpeedKey key={dial.id} dial={dial} digit={index < MOST_BY_KEY ? index + 1 : undefined} />
        ))}
      </ul>
      {pages.length > 1 && (
        <div role="group" aria-label={t('speed.pages')} className="flex gap-1 self-center">
          {pages.map((each) => (
            <button
              key={each}
              type="button"
              aria-pressed={each === shownPage}
              aria-label={t('speed.page', { n: each })}
              className={`btn btn-xs ${each === shownPage ? 'btn-primary' : 'btn-plain'}`}
              onClick={() => setPage(each)}
            >
              {each}
            </button>
          ))}
        </div>
      )}
      <button
        type="button"
        className="btn btn-sm btn-plain self-center"
        onClick={() => setArranging(true)}
      >
        {t('speed.edit')}
      </button>
      <Suspense>
        {arranging && <Arrange dials={dials} onClose={() => setArranging(false)} />}
      </Suspense>
    </section>
  );
}
