import qrcode from 'qrcode-generator';

interface Props {
  text: string;
  label: string;
}

/** Room around the squares that a camera needs to find them (ISO/IEC 18004). */
const QUIET = 4;

/** A text as a picture that a telephone reads; dark on light also by night, or it could not. */
export function Squares({ text, label }: Props) {
  const code = qrcode(0, 'M');
  code.addData(text);
  code.make();
  const count = code.getModuleCount();
  let path = '';
  for (let row = 0; row < count; row++) {
    for (let column = 0; column < count; column++) {
      if (code.isDark(row, column)) {
        path += `M${column + QUIET},${row + QUIET}h1v1h-1z`;
      }
    }
  }
  const side = count + 2 * QUIET;
  return (
    <svg role="img" aria-label={label} viewBox={`0 0 ${side} ${side}`} className="h-44 w-44">
      <rect width={side} height={side} fill="#fff" />
      <path d={path} fill="#000" shapeRendering="crispEdges" />
    </svg>
  );
}
