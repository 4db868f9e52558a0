'use client';

import dynamic from 'next/dynamic';

/** The three-dimensional view, loaded when it is first shown. */
export const PartStage = dynamic(() => import('./part-view'), { ssr: false });
