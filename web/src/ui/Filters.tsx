import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { BehindKey } from './BehindKey';

interface Props {
  /** How many of them are set. */
  set: number;
  children: ReactNode;
}

/** Filters in a row; in a narrow window behind one key that says how many are set. */
export function Filters({ set, children }: Props) {
  const { t } = useTranslation();
  return (
    <BehindKey word={t('filters', { count: set })} on={set > 0}>
      {children}
    </BehindKey>
  );
}
