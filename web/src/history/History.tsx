import { keepPreviousData, useInfiniteQuery } from '@tanstack/react-query';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useCallback, useRef, useState, type RefObject } from 'react';
import { InsteadOfList } from '../ui/InsteadOfList';
import { SearchField } from '../ui/SearchField';
import { Older } from '../ui/Older';
import { useTranslation } from 'react-i18next';
import { Link } from 'wouter';
import { get } from '../api/client';
import type { HistoryEntry, HistoryPage } from '../api/types';
import { useNow } from '../live/now';
import { BehindKey } from '../ui/BehindKey';
import { Filters } from '../ui/Filters';
import { dayOf, dayTitle } from '../words/time';
import { Chosen } from './Chosen';
import { Entry } from './Entry';
import { Printed } from './Printed';
import { Narrow } from './Narrow';
import { asked, fileOf } from './entries';
import { FILTERS, useWanted } from './useWanted';
import { addWords } from '../words';
import words from './words.view.en.json';

addWords(words);

/** Of an entry that has not been drawn yet. */
const USUAL_HEIGHT = 46;

/** My calls, day by day, latest first. */
export function History() {
  const { t } = useTranslation();
  const {
    filter,
    choose: chooseFilter,
    text,
    settled: wanted,
    type,
    narrowed,
    narrow,
  } = useWanted();
  const set = [filter !== 'ALL', ...Object.values(narrowed)].filter(Boolean).length;
  const { data, error, isPending, hasNextPage, fetchNextPage, isFetchingNextPage } =
    useInfiniteQuery({
      queryKey: ['history', filter, wanted, narrowed],
      queryFn: ({ pageParam }) =>
        get<HistoryPage>(
          `/api/history?${asked({ filter, text: wanted, ...narrowed, before: pageParam })}`,
        ),
      initialPageParam: '',
      getNextPageParam: (last) => last.next ?? undefined,
      placeholderData: keepPreviousData,
    });
  const entries = data?.pages.flatMap((page) => page.entries) ?? [];
  const scrolled = useRef<HTMLDivElement>(null);
  const [marked, setMarked] = useState<ReadonlySet<number>>(new Set());
  const chosen = entries.filter((each) => marked.has(each.id));
  const [printing, setPrinting] = useState(false);
  const printed = useCallback(() => setPrinting(false), [setPrinting]);

  function choose(id: number, on: boolean) {
    const next = new Set(marked);
    if (on) {
      next.add(id);
    } else {
      next.delete(id);
    }
    setMarked(next);
  }

  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <h1 className="sr-only">{t('tab.history')}</h1>
      <div className="mb-3 flex flex-wrap items-center gap-2">
        <Filters set={set}>
          <div role="group" aria-label={t('history.which')} className="flex flex-wrap gap-1">
            {FILTERS.map((each) => (
              <button
                key={each}
                type="button"
                aria-pressed={filter === each}
                className={`btn btn-sm ${filter === each ? 'btn-primary' : 'btn-plain'}`}
                onClick={() => chooseFilter(each)}
              >
                {t(`history.filter.${each}`)}
              </button>
            ))}
          </div>
          <Narrow narrowed={narrowed} onChange={narrow} />
        </Filters>
        <Link to="/history/recordings" className="btn lg:btn-sm btn-plain">
          {t('history.recordings')}
        </Link>
        <Link to="/history/follow-ups" className="btn lg:btn-sm btn-plain">
          {t('history.followUps')}
        </Link>
        <BehindKey word={t('history.files')}>
          <a
            className="btn btn-sm btn-plain lg:ml-auto"
            href={fileOf({ filter, text: wanted, ...narrowed })}
            download
          >
            {t('history.save')}
          </a>
          <button type="button" className="btn btn-sm btn-plain" onClick={() => setPrinting(true)}>
            {t('history.print')}
          </button>
        </BehindKey>
        <SearchField
          label={t('history.search')}
          text={text}
          onType={type}
          look="w-44 max-lg:order-first"
        />
      </div>
      <div
        ref={scrolled}
        className="sheet min-h-0 flex-1 overflow-y-auto max-lg:h-[75dvh] max-lg:flex-none"
      >
        {chosen.length > 0 && (
          <Chosen
            chosen={chosen}
            onNone={() => setMarked(new Set())}
            onPrint={() => setPrinting(true)}
          />
        )}
        {printing && <Printed entries={chosen.length > 0 ? chosen : entries} onDone={printed} />}
        <InsteadOfList
          error={error}
          pending={isPending}
          empty={entries.length === 0}
          none={t(
            hasNextPage
              ? 'history.noneSoFar'
              : text || set > 0
                ? 'history.noneFound'
                : 'history.none',
          )}
        />
        <Entries entries={entries} scrolled={scrolled} marked={marked} onChoose={choose} />
        <Older more={hasNextPage} busy={isFetchingNextPage} onMore={fetchNextPage} />
      </div>
    </div>
  );
}

interface ListProps {
  entries: HistoryEntry[];
  marked: ReadonlySet<number>;
  onChoose: (id: number, chosen: boolean) => void;
  /** What the entries scroll in. */
  scrolled: RefObject<HTMLDivElement | null>;
}

/** The entries, of which only those in sight are drawn; the first of each day says which day it is. */
function Entries({ entries, scrolled, marked, onChoose }: ListProps) {
  const now = useNow();
  // eslint-disable-next-line react-hooks/incompatible-library -- nothing here is memoized
  const list = useVirtualizer({
    count: entries.length,
    getScrollElement: () => scrolled.current,
    estimateSize: () => USUAL_HEIGHT,
    getItemKey: (index) => entries[index]?.id ?? index,
    overscan: 8,
  });
  return (
    <ul className="relative" style={{ height: list.getTotalSize() }}>
      {list.getVirtualItems().map(({ key, index, start }) => {
        const entry = entries[index] as HistoryEntry;
        const before = entries[index - 1];
        const firstOfDay = !before || dayOf(before.began) !== dayOf(entry.began);
        return (
          <li
            key={key}
            ref={list.measureElement}
            data-index={index}
            className="absolute inset-x-0 top-0"
            style={{ transform: `translateY(${start}px)` }}
          >
            {firstOfDay && (
              <h2 className="bg-base-200 border-base-300 border-b px-4 py-1.5 text-sm font-bold">
                {dayTitle(entry.began, now)}
              </h2>
            )}
            <Entry
              entry={entry}
              chosen={marked.has(entry.id)}
              onChoose={(on) => onChoose(entry.id, on)}
            />
          </li>
        );
      })}
    </ul>
  );
}
