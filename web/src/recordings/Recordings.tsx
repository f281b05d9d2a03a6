import { useInfiniteQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'wouter';
import { InsteadOfList } from '../ui/InsteadOfList';
import { Older } from '../ui/Older';
import { useOpened } from '../ui/useOpened';
import type { RecordingView } from '../api/types';
import { nameOf } from '../calls/order';
import { useStepping } from '../calls/useStepping';
import { TwoPanes } from '../ui/TwoPanes';
import { addWords } from '../words';
import { clockTime, dayAndTime } from '../words/time';
import { Opened } from './Opened';
import { allRecordings } from './recordings';
import words from './words.view.en.json';

addWords(words);

/** Everything that was recorded for me or handed to me: the list at the left, the open one at the right. */
export function Recordings() {
  const { t } = useTranslation();
  const [open, setOpen] = useOpened('recording');
  const { data, error, isPending, hasNextPage, fetchNextPage, isFetchingNextPage } =
    useInfiniteQuery(allRecordings);
  const recordings = useMemo(() => data?.pages.flatMap((page) => page.recordings) ?? [], [data]);

  useStepping(
    recordings.map((each) => each.id),
    open,
    setOpen,
  );

  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <TwoPanes
        columns="lg:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]"
        above={
          <div className="mb-3 flex flex-wrap items-center gap-3">
            <h1 className="text-lg font-bold">{t('recording.title')}</h1>
            <Link to="/history" className="btn btn-sm btn-plain">
              {t('recording.history')}
            </Link>
          </div>
        }
        listLabel={t('recording.list')}
        list={
          <>
            <InsteadOfList
              error={error}
              pending={isPending}
              empty={recordings.length === 0}
              none={t('recording.none')}
            />
            {recordings.length > 0 && <List recordings={recordings} open={open} onOpen={setOpen} />}
            <Older more={hasNextPage} busy={isFetchingNextPage} onMore={fetchNextPage} />
          </>
        }
        openedLabel={t('recording.opened')}
        opened={
          open === undefined ? null : <Opened key={open} id={open} onGone={() => setOpen()} />
        }
        nothing={t('recording.openOne')}
        back={t('recording.back')}
        onBack={() => setOpen()}
      />
    </div>
  );
}

interface ListProps {
  recordings: RecordingView[];
  open: number | undefined;
  onOpen: (id: number) => void;
}

function List({ recordings, open, onOpen }: ListProps) {
  const { t } = useTranslation();
  return (
    <table className="w-full text-left">
      <thead className="bg-base-200 sticky top-0 text-sm">
        <tr>
          {(['when', 'who', 'line', 'length', 'note'] as const).map((each) => (
            <th
              key={each}
              scope="col"
              className={`px-3 py-1.5 ${each === 'line' || each === 'note' ? 'max-sm:hidden' : ''} ${each === 'length' ? 'text-right' : ''}`}
            >
              {t(`recording.${each}`)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {recordings.map((each) => (
          <tr
            key={each.id}
            aria-current={each.id === open || undefined}
            className={`border-base-300 hover:bg-base-200/60 cursor-pointer border-t align-top ${each.id === open ? 'bg-base-200' : ''}`}
            onClick={() => onOpen(each.id)}
          >
            <td className="quiet px-3 py-1.5 text-sm">{dayAndTime(each.began)}</td>
            <td className="px-3 py-1.5">
              <button
                type="button"
                className="text-left font-semibold break-words underline-offset-2 hover:underline"
                onClick={() => onOpen(each.id)}
              >
                {nameOf(each.other, t('party.withheld'))}
              </button>
              {each.from && each.until && (
                <span className="quiet block text-sm">
                  {t('recording.from', { name: each.from, until: dayAndTime(each.until) })}
                </span>
              )}
            </td>
            <td className="px-3 py-1.5 max-sm:hidden">{each.line ?? t('recording.own')}</td>
            <td className="px-3 py-1.5 text-right">{clockTime(each.length)}</td>
            <td className="quiet max-w-44 truncate px-3 py-1.5 max-sm:hidden" title={each.note}>
              {each.note}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
