let context: CanvasRenderingContext2D | null | undefined;

/** How many pixels a text takes at the size of the page. */
export function textWidth(text: string): number {
  context ??= typeof OffscreenCanvas === 'undefined' ? null : document.createElement('canvas').getContext('2d');
  if (context === null) return text.length * 7.2;
  context.font = "15px 'Source Sans 3 Variable', sans-serif";
  return context.measureText(text).width;
}
