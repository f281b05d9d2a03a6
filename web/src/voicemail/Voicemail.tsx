import { keepPreviousData, useInfiniteQuery } from '@tanstack/react-query';
import { IconMicrophone } from '@tabler/icons-react';
import { Suspense, lazy, useMemo, useState } from 'react';
import { InsteadOfList } from '../ui/InsteadOfList';
import { SearchField } from '../ui/SearchField';
import { Older } from '../ui/Older';
import { useTranslation } from 'react-i18next';
import { useOpened } from '../ui/useOpened';
import { useStepping } from '../calls/useStepping';
import { useTyped } from '../live/useTyped';
import { TwoPanes } from '../ui/TwoPanes';
import { Leaving } from './Leaving';
import { Letter } from './Letter';
import { Tray } from './Tray';
import { type Which, heard, pageOf, remove } from './messages';
import { addWords } from '../words';
import words from './words.view.en.json';

addWords(words);

const GreetingsSheet = lazy(() =>
  import('./GreetingsSheet').then((it) => ({ default: it.GreetingsSheet })),
);

/** Messages that were left for me and my groups: the tray at the left, the open letter at the right. */
export function Voicemail() {
  const { t } = useTranslation();
  const [which, setWhich] = useState<Which>('all');
  const [text, wanted, setText] = useTyped('');
  const [open, setOpen] = useOpened('message');
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());
  const [greetings, setGreetings] = useState(() =>
    new URLSearchParams(window.location.search).has('greetings'),
  );
  const { data, error, isPending, hasNextPage, fetchNextPage, isFetchingNextPage } =
    useInfiniteQuery({
      ...pageOf(which, wanted),
      placeholderData: keepPreviousData,
    });
  const messages = useMemo(() => data?.pages.flatMap((page) => page.messages) ?? [], [data]);
  const fresh = data?.pages[0]?.fresh ?? 0;
  const there = [...chosen].filter((id) => messages.some((each) => each.id === id));
  useStepping(
    messages.map((each) => each.id),
    open,
    setOpen,
  );

  function choose(id: number, on: boolean) {
    const next = new Set(chosen);
    if (on) {
      next.add(id);
    } else {
      next.delete(id);
    }
    setChosen(next);
  }

  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <h1 className="sr-only">{t('tab.voicemail')}</h1>
      <TwoPanes
        above={
          <>
            <div className="mb-3 flex flex-wrap items-center gap-2">
              <div role="group" aria-label={t('voicemail.which')} className="flex gap-1">
                {(['all', 'new', 'blocked'] as const).map((each) => (
                  <button
                    key={each}
                    type="button"
                    aria-pressed={which === each}
                    className={`btn btn-sm ${which === each ? 'btn-primary' : 'btn-plain'}`}
                    onClick={() => setWhich(each)}
                  >
                    {t(`voicemail.${each}`, { count: fresh })}
                  </button>
                ))}
              </div>
              <SearchField label={t('voicemail.search')} text={text} onType={setText} look="w-64" />
              <button
                type="button"
                className="btn btn-sm btn-plain ml-auto"
                onClick={() => setGreetings(true)}
              >
                <IconMicrophone size={16} aria-hidden="true" />
                {t('voicemail.greetings')}
              </button>
            </div>
            <Leaving />
          </>
        }
        listLabel={t('voicemail.tray')}
        list={
          <>
            {there.length > 0 && (
              <div className="bg-base-200 border-base-300 sticky top-0 flex flex-wrap items-center gap-2 border-b px-3 py-1.5">
                <span className="font-semibold">
                  {t('voicemail.chosen', { count: there.length })}
                </span>
                <button
                  type="button"
                  className="btn btn-xs btn-plain"
                  onClick={() => there.forEach((id) => void heard(id, false))}
                >
                  {t('voicemail.unheard')}
                </button>
                <button
                  type="button"
                  className="btn btn-xs btn-plain"
                  onClick={() => {
                    void remove(there);
                    setChosen(new Set());
                  }}
                >
                  {t('voicemail.remove')}
                </button>
              </div>
            )}
            <InsteadOfList
              error={error}
              pending={isPending}
              empty={messages.length === 0}
              none={t(text || which !== 'all' ? 'voicemail.noneFound' : 'voicemail.none')}
            />
            <Tray
              messages={messages}
              open={open}
              chosen={chosen}
              onOpen={setOpen}
              onChoose={choose}
            />
            <Older more={hasNextPage} busy={isFetchingNextPage} onMore={fetchNextPage} />
          </>
        }
        openedLabel={t('voicemail.letter')}
        opened={
          open !== undefined && messages.some((each) => each.id === open) ? (
            <Letter id={open} onGone={() => setOpen()} />
          ) : null
        }
        nothing={t('voicemail.openOne')}
        back={t('voicemail.back')}
        onBack={() => setOpen()}
      />
      <Suspense>{greetings && <GreetingsSheet onClose={() => setGreetings(false)} />}</Suspense>
    </div>
  );
}
