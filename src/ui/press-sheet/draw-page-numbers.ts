import type { ImposedSide } from '@/core/job';

/** Of the height of a page, and of the label around the number. */
const [HIGH, ROUND] = [0.16, 0.18];

interface Look {
  readonly ink: string;
  readonly paper: string;
  readonly face: string;
}

/** Numbers of pages in the middle of each, as it stands: how they come to lie is seen without reading the artwork. */
export function drawPageNumbers(
  context: CanvasRenderingContext2D,
  pages: readonly { readonly side: ImposedSide; readonly number: number }[],
  { ink, paper, face }: Look,
): void {
  context.save();
  context.textAlign = 'center';
  context.textBaseline = 'middle';
  for (const { side, number } of pages) {
    const { x, y, width, height } = side.trim;
    const size = height * HIGH;
    context.save();
    context.translate(x + width / 2, y + height / 2);
    context.rotate((side.quarters * Math.PI) / 2);
    context.font = `700 ${size}px ${face}`;
    const wide = context.measureText(String(number)).width + size * 0.6;
    context.beginPath();
    context.roundRect(-wide / 2, -size * 0.65, wide, size * 1.3, size * ROUND);
    context.fillStyle = paper;
    context.globalAlpha = 0.86;
    context.fill();
    context.globalAlpha = 1;
    context.lineWidth = size / 24;
    context.strokeStyle = ink;
    context.stroke();
    context.fillStyle = ink;
    context.fillText(String(number), 0, size * 0.05);
    context.restore();
  }
  context.restore();
}
