'use client';

import { useEffect, useRef } from 'react';
import { useInk } from '@/ui';

interface SlicePictureProps {
  /** x, y a point, mm. */
  readonly contours: readonly Float64Array[];
  readonly label: string;
  readonly pixelMm: number;
}

/** Browsers draw no larger pictures. */
const MOST_PIXELS = 8000;

/** One layer as the panel shows it: a pixel of the picture is a pixel of the printer. */
export function SlicePicture({ contours, label, pixelMm }: SlicePictureProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const ink = useInk();
  useEffect(() => {
    const picture = canvas.current;
    if (picture !== null && ink !== undefined) drawSlice(picture, contours, pixelMm, ink.ink);
  }, [contours, pixelMm, ink]);
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={`${label} in printer pixels`}
      className="mt-2 max-h-80 max-w-full border border-hair bg-sheet object-contain [image-rendering:pixelated]"
    />
  );
}

function drawSlice(
  picture: HTMLCanvasElement,
  contours: readonly Float64Array[],
  pixelMm: number,
  colour: string,
): void {
  let [minX, minY, maxX, maxY] =
    contours.length === 0 ? [0, 0, 1, 1] : [Infinity, Infinity, -Infinity, -Infinity];
  for (const points of contours) {
    for (let i = 0; i < points.length; i += 2) {
      minX = Math.min(minX, points[i]);
      maxX = Math.max(maxX, points[i]);
      minY = Math.min(minY, points[i + 1]);
      maxY = Math.max(maxY, points[i + 1]);
    }
  }
  const scale = Math.min(1 / pixelMm, MOST_PIXELS / Math.max(maxX - minX, maxY - minY));
  picture.width = Math.max(1, Math.ceil((maxX - minX) * scale) + 4);
  picture.height = Math.max(1, Math.ceil((maxY - minY) * scale) + 4);
  const pen = picture.getContext('2d');
  if (pen === null) return;
  pen.fillStyle = colour;
  pen.beginPath();
  for (const points of contours) {
    for (let i = 0; i < points.length; i += 2) {
      const [x, y] = [2 + (points[i] - minX) * scale, 2 + (maxY - points[i + 1]) * scale];
      if (i === 0) pen.moveTo(x, y);
      else pen.lineTo(x, y);
    }
    pen.closePath();
  }
  pen.fill('nonzero');
}
