import { useInfiniteQuery } from '@tanstack/react-query';
import { Suspense, lazy, useState } from 'react';
import { InsteadOfList } from '../ui/InsteadOfList';
import { SearchField } from '../ui/SearchField';
import { useTranslation } from 'react-i18next';
import { useOpened } from '../ui/useOpened';
import { useStepping } from '../calls/useStepping';
import { useTyped } from '../live/useTyped';
import { BehindKey } from '../ui/BehindKey';
import { Filters } from '../ui/Filters';
import { TwoPanes } from '../ui/TwoPanes';
import { addWords } from '../words';
import { CardForm } from './CardForm';
import { CardList } from './CardList';
import { OpenCard } from './OpenCard';
import { type Wanted, add, blank, pageOf, useFilters } from './contacts';
import words from './words.view.en.json';

addWords(words);

const ImportSheet = lazy(() => import('./ImportSheet').then((it) => ({ default: it.ImportSheet })));

const WHOSE = ['ALL', 'OFFICE', 'OWN', 'FAVOURITES'] as const;
const FORMATS = ['VCARD4', 'VCARD3', 'CSV'] as const;
const LETTERS = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];

/** The card index: letters along the edge, cards in a column, the open card at the right. */
export function Contacts() {
  const { t } = useTranslation();
  const [text, settled, setText] = useTyped('');
  const [narrowed, setNarrowed] = useState<Omit<Wanted, 'text'>>({
    whose: 'ALL',
    tag: '',
    group: '',
    from: '',
  });
  const [open, setOpen] = useOpened('card');
  const [writing, setWriting] = useState(false);
  const [importing, setImporting] = useState(false);
  const filters = useFilters();
  const wanted = { ...narrowed, text: settled };
  const { data, error, isPending, hasNextPage, fetchNextPage, isFetchingNextPage } =
    useInfiniteQuery(pageOf(wanted));
  const cards = data?.pages.flatMap((page) => page.contacts) ?? [];
  useStepping(
    cards.map((each) => each.id),
    open,
    setOpen,
  );
  const set = [narrowed.whose !== 'ALL', narrowed.tag, narrowed.group].filter(Boolean).length;
  const narrow = (change: Partial<Wanted>) => setNarrowed({ ...narrowed, ...change });

  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <h1 className="sr-only">{t('tab.contacts')}</h1>
      <TwoPanes
        above={
          <div className="mb-3 flex flex-wrap items-center gap-2">
            <SearchField label={t('contacts.search')} text={text} onType={setText} look="w-72" />
            <Filters set={set}>
              <div role="group" aria-label={t('contacts.whose')} className="flex flex-wrap gap-1">
                {WHOSE.map((each) => (
                  <button
                    key={each}
                    type="button"
                    aria-pressed={narrowed.whose === each}
                    className={`btn btn-sm ${narrowed.whose === each ? 'btn-primary' : 'btn-plain'}`}
                    onClick={() => narrow({ whose: each })}
                  >
                    {t(`contacts.of.${each}`)}
                  </button>
                ))}
              </div>
              <Narrow
                label={t('contacts.tag')}
                any={t('contacts.anyTag')}
                of={filters?.tags}
                value={narrowed.tag}
                onChoose={(tag) => narrow({ tag })}
              />
              <Narrow
                label={t('contacts.group')}
                any={t('contacts.anyGroup')}
                of={filters?.groups}
                value={narrowed.group}
                onChoose={(group) => narrow({ group })}
              />
            </Filters>
            <BehindKey word={t('contacts.files')}>
              <button
                type="button"
                className="btn btn-sm btn-plain lg:ml-auto"
                onClick={() => setImporting(true)}
              >
                {t('contacts.readIn')}
              </button>
              <span className="quiet text-sm">{t('contacts.saveAs')}</span>
              {FORMATS.map((format) => (
                <a
                  key={format}
                  className="btn btn-sm btn-plain"
                  href={`/api/contacts/file?format=${format}&own=${narrowed.whose === 'OWN'}`}
                  download
                >
                  {t(`contacts.save_${format}`)}
                </a>
              ))}
            </BehindKey>
            <button
              type="button"
              className="btn btn-primary max-lg:ml-auto lg:btn-sm"
              onClick={() => {
                setWriting(true);
                setOpen();
              }}
            >
              {t('contacts.new')}
            </button>
          </div>
        }
        listLabel={t('contacts.index')}
        listLook="flex overflow-hidden max-lg:h-[70dvh]"
        list={
          <>
            <div className="flex min-w-0 flex-1 flex-col">
              <InsteadOfList
                error={error}
                pending={isPending}
                empty={cards.length === 0}
                none={t(filters?.size ? 'contacts.noneFound' : 'contacts.none')}
              />
              <CardList
                cards={cards}
                open={open}
                onOpen={setOpen}
                onMore={hasNextPage && !isFetchingNextPage ? () => void fetchNextPage() : undefined}
              />
            </div>
            <nav
              aria-label={t('contacts.letters')}
              className="border-base-300 flex w-7 shrink-0 flex-col border-l"
            >
              {LETTERS.map((each) => (
                <button
                  key={each}
                  type="button"
                  aria-label={t('contacts.letter', { letter: each })}
                  aria-pressed={narrowed.from === each}
                  className={`min-h-0 flex-1 text-xs leading-none ${
                    narrowed.from === each ? 'bg-primary text-primary-content' : 'hover:bg-base-200'
                  }`}
                  onClick={() => {
                    setText('');
                    narrow({ from: narrowed.from === each ? '' : each });
                  }}
                >
                  {each}
                </button>
              ))}
            </nav>
          </>
        }
        openedLabel={t('contacts.card')}
        opened={
          open !== undefined ? (
            <OpenCard key={open} id={open} onGone={() => setOpen()} />
          ) : writing ? (
            <>
              <h2 className="mb-4 text-lg font-bold">{t('contacts.newTitle')}</h2>
              <CardForm
                card={blank()}
                fresh
                onKeep={async (own, card) => {
                  setOpen((await add(own, card)).row.id);
                  setWriting(false);
                }}
                onCancel={() => setWriting(false)}
              />
            </>
          ) : null
        }
        nothing={t('contacts.openOne')}
        back={t('contacts.back')}
        onBack={() => {
          setWriting(false);
          setOpen();
        }}
      />
      <Suspense>{importing && <ImportSheet onClose={() => setImporting(false)} />}</Suspense>
    </div>
  );
}

interface NarrowProps {
  label: string;
  any: string;
  of?: string[];
  value: string;
  onChoose: (value: string) => void;
}

/** Narrows the cards down to one of these; absent when there are none. */
function Narrow({ label, any, of = [], value, onChoose }: NarrowProps) {
  return of.length === 0 ? null : (
    <select
      aria-label={label}
      className="select select-sm w-32"
      value={value}
      onChange={(event) => onChoose(event.target.value)}
    >
      <option value="">{any}</option>
      {of.map((each) => (
        <option key={each}>{each}</option>
      ))}
    </select>
  );
}
