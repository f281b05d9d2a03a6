import { useTranslation } from 'react-i18next';

interface Props {
  /** Whose picture it is, for those who cannot see it. */
  name: string;
  /** Where the picture is; undefined when there is none. */
  src?: string;
  className: string;
  onPut: (file: File) => void;
  onDrop: () => void;
}

/** A picture that can be put there from a file and taken away. */
export function PictureFile({ name, src, className, onPut, onDrop }: Props) {
  const { t } = useTranslation();
  return (
    <>
      {src && (
        <img
          src={src}
          alt={t('picture.of', { name })}
          className={`border-base-300 rounded border ${className}`}
        />
      )}
      {src ? (
        <button
          type="button"
          className="btn btn-xs btn-plain"
          aria-label={t('picture.dropOf', { name })}
          onClick={onDrop}
        >
          {t('picture.drop')}
        </button>
      ) : (
        <label className="btn btn-xs btn-plain focus-within:outline-2">
          {t('picture.put')}
          <input
            type="file"
            aria-label={t('picture.putFor', { name })}
            accept="image/jpeg,image/png,image/gif"
            className="sr-only"
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file) {
                onPut(file);
              }
            }}
          />
        </label>
      )}
    </>
  );
}
