import { useVirtualizer } from '@tanstack/react-virtual';
import { useRef } from 'react';
import { useTranslation } from 'react-i18next';
import type { ContactRow } from '../api/types';

interface Props {
  cards: ContactRow[];
  open?: number;
  onOpen: (id: number) => void;
  /** Asked for when the end is near. */
  onMore?: () => void;
}

const HEIGHT = 52;
const NEAR = 20;

/** The cards in their order, of which only those in sight are drawn. */
export function CardList({ cards, open, onOpen, onMore }: Props) {
  const { t } = useTranslation();
  const scrolled = useRef<HTMLDivElement>(null);
  // eslint-disable-next-line react-hooks/incompatible-library -- nothing here is memoized
  const list = useVirtualizer({
    count: cards.length,
    getScrollElement: () => scrolled.current,
    estimateSize: () => HEIGHT,
    getItemKey: (index) => cards[index]?.id ?? index,
    overscan: 8,
    onChange: (shown) => {
      if ((shown.range?.endIndex ?? 0) > cards.length - NEAR) {
        onMore?.();
      }
    },
  });
  return (
    <div ref={scrolled} className="min-h-0 flex-1 overflow-y-auto">
      <ul
        aria-label={t('contacts.list')}
        className="relative"
        style={{ height: list.getTotalSize() }}
      >
        {list.getVirtualItems().map(({ key, index, start }) => {
          const card = cards[index] as ContactRow;
          return (
            <li
              key={key}
              className="absolute inset-x-0 top-0"
              style={{ height: HEIGHT, transform: `translateY(${start}px)` }}
            >
              <button
                type="button"
                aria-current={card.id === open || undefined}
                className={`border-base-300 flex h-full w-full items-center gap-3 border-b border-l-4 px-3 text-left ${
                  card.id === open
                    ? 'border-l-primary bg-primary/12'
                    : 'hover:bg-base-200/60 border-l-transparent'
                }`}
                onClick={() => onOpen(card.id)}
              >
                <span className="min-w-0 flex-1">
                  <span className="block truncate leading-tight font-semibold">{card.title}</span>
                  <span className="quiet block truncate text-sm leading-tight">
                    {[card.subtitle, card.own ? t('contacts.own') : ''].filter(Boolean).join(' · ')}
                  </span>
                </span>
                <span className="quiet shrink-0 text-sm max-sm:hidden">
                  {card.numbers[0]?.shown}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
