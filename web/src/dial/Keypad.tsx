import { useTranslation } from 'react-i18next';

const KEYS: [string, string][] = [
  ['1', ''],
  ['2', 'ABC'],
  ['3', 'DEF'],
  ['4', 'GHI'],
  ['5', 'JKL'],
  ['6', 'MNO'],
  ['7', 'PQRS'],
  ['8', 'TUV'],
  ['9', 'WXYZ'],
  ['*', ''],
  ['0', '+'],
  ['#', ''],
];

interface Props {
  onPress: (digit: string) => void;
  /** Whether the keys stand side by side, where a block of them would push calls out of sight. */
  row?: boolean;
}

/** The keys of a telephone with their letters (ITU-T E.161). */
export function Keypad({ onPress, row = false }: Props) {
  const { t } = useTranslation();
  return (
    <div
      role="group"
      aria-label={t('keypad.title')}
      className={
        row ? 'grid grid-cols-6 gap-1 sm:grid-cols-12' : 'grid w-52 max-w-full grid-cols-3 gap-1.5'
      }
    >
      {KEYS.map(([digit, letters]) => (
        <button
          key={digit}
          type="button"
          aria-label={t('keypad.key', { digit, letters })}
          className={`sheet hover:bg-base-200 flex flex-col items-center justify-center leading-none ${row ? 'h-9 min-w-9' : 'h-12'}`}
          onClick={() => onPress(digit)}
        >
          <span className="text-lg font-semibold">{digit}</span>
          <span className="quiet h-3 text-[0.6875rem]">{letters}</span>
        </button>
      ))}
    </div>
  );
}
