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

/** The keys of a telephone with their letters (ITU-T E.161). */
export function Keypad({ onPress }: { onPress: (digit: string) => void }) {
  const { t } = useTranslation();
  return (
    <div role="group" aria-label={t('keypad.title')} className="grid w-52 grid-cols-3 gap-1.5">
      {KEYS.map(([digit, letters]) => (
        <button
          key={digit}
          type="button"
          aria-label={t('keypad.key', { digit, letters })}
          className="sheet hover:bg-base-200 flex h-12 flex-col items-center justify-center leading-none"
          onClick={() => onPress(digit)}
        >
          <span className="text-lg font-semibold">{digit}</span>
          <span className="quiet h-3 text-[0.6875rem]">{letters}</span>
        </button>
      ))}
    </div>
  );
}
