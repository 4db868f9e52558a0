'use client';

import { useEffect, useRef } from 'react';
import type { LayerReading } from '@/core/layers';
import { useInk } from '@/ui';
import type { CheckWorker } from '@/workers';

interface SlicePictureProps {
  readonly worker: CheckWorker;
  readonly reading: LayerReading;
  readonly layer: number;
  readonly pixelMm: number;
}

/** Browsers draw no larger pictures. */
const MOST_PIXELS = 8000;

/** One layer as the panel shows it: a pixel of the picture is a pixel of the printer. */
export function SlicePicture({ worker, reading, layer, pixelMm }: SlicePictureProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const ink = useInk();
  useEffect(() => {
    let live = true;
    const draw = async () => {
      const contours = await worker.slice(reading, layer);
      const picture = canvas.current;
      if (!live || picture === null || ink === undefined) return;
      let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
      for (const points of contours) {
        for (let i = 0; i < points.length; i += 2) {
          minX = Math.min(minX, points[i]);
          maxX = Math.max(maxX, points[i]);
          minY = Math.min(minY, points[i + 1]);
          maxY = Math.max(maxY, points[i + 1]);
        }
      }
      if (contours.length === 0) [minX, minY, maxX, maxY] = [0, 0, 1, 1];
      const wide = Math.max(maxX - minX, maxY - minY);
      const scale = Math.min(1 / pixelMm, MOST_PIXELS / wide);
      picture.width = Math.max(1, Math.ceil((maxX - minX) * scale) + 4);
      picture.height = Math.max(1, Math.ceil((maxY - minY) * scale) + 4);
      const pen = picture.getContext('2d');
      if (pen === null) return;
      pen.fillStyle = ink.ink;
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
    };
    draw().catch(() => {});
    return () => {
      live = false;
    };
  }, [worker, reading, layer, pixelMm, ink]);
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={`Layer ${layer} in pixels of the printer`}
      className="mt-2 max-h-80 max-w-full border border-hair bg-sheet object-contain [image-rendering:pixelated]"
    />
  );
}
