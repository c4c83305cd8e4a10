import { create } from 'qrcode';
import { useMemo } from 'react';

interface Props {
  readonly text: string;
  readonly label: string;
}

/** Blank around it, in modules: ISO/IEC 18004 asks for four. */
const QUIET = 4;

/** A text as a QR picture, dark on white whatever the page looks like, since many phones read no other. */
export function QrPicture({ text, label }: Props) {
  const { path, side } = useMemo(() => {
    const { size, data } = create(text, { errorCorrectionLevel: 'M' }).modules;
    let drawn = '';
    for (let y = 0; y < size; y++)
      for (let x = 0; x < size; x++) if (data[y * size + x]) drawn += `M${x + QUIET} ${y + QUIET}h1v1h-1z`;
    return { path: drawn, side: size + 2 * QUIET };
  }, [text]);
  return (
    <svg role="img" aria-label={label} viewBox={`0 0 ${side} ${side}`} className="h-40 w-40 bg-white">
      <path d={path} fill="#000" shapeRendering="crispEdges" />
    </svg>
  );
}
