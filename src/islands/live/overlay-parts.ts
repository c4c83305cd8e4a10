/** What an overlay shows; all of it where nothing is chosen. */
const OVERLAY_PARTS = ['movement', 'breath', 'caption'] as const;
export type OverlayPart = (typeof OVERLAY_PARTS)[number];

/** The parts of an overlay out of its address (`?see-through&parts=caption,breath`); `null` for a screen of its own. */
export function overlayParts(query: URLSearchParams): readonly OverlayPart[] | null {
  if (!query.has('see-through')) return null;
  const asked = (query.get('parts') ?? '').split(',');
  const chosen = OVERLAY_PARTS.filter((part) => asked.includes(part));
  return chosen.length > 0 ? chosen : OVERLAY_PARTS;
}
