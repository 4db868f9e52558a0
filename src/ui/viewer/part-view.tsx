'use client';

import { OrbitControls } from '@react-three/drei';
import { Canvas, useThree, type ThreeEvent } from '@react-three/fiber';
import { useEffect, useMemo, useRef, useState } from 'react';
import {
  BufferAttribute,
  BufferGeometry,
  DoubleSide,
  Plane,
  Vector3,
  type PerspectiveCamera,
  ShapeGeometry,
  ShapePath,
} from 'three';
import type { Bounds } from '@/core/mesh';
import { layOutCallouts, type PlacedCallout } from './callouts';

/** A feature shown on the part with a leader line. */
export interface Callout {
  readonly id: number;
  readonly label: string;
  readonly anchorMm: readonly [number, number, number];
}

interface PartViewProps {
  readonly corners: Float32Array;
  readonly bounds: Bounds;
  readonly callouts: readonly Callout[];
  readonly activeId?: number;
  /** Set while a feature waits for its place: a click on the part gives it. */
  readonly onPlace?: (pointMm: [number, number, number]) => void;
  /** Shown up to a height only, with the contours there filled: what has been printed by then. */
  readonly cut?: Cut;
}

interface Cut {
  readonly atMm: number;
  /** x, y a point; material on the left. */
  readonly contours: readonly Float64Array[];
}

interface Colours {
  readonly part: string;
  readonly edge: string;
}

function readColours(): Colours {
  const style = getComputedStyle(document.documentElement);
  const token = (name: string) => style.getPropertyValue(`--${name}`).trim();
  return { part: token('part'), edge: token('edge') };
}

/** The colours of the theme, read again when it changes: a canvas has no style sheet. */
function useColours(): Colours {
  const [colours, setColours] = useState(readColours);
  useEffect(() => {
    const observer = new MutationObserver(() => setColours(readColours()));
    observer.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] });
    return () => observer.disconnect();
  }, []);
  return colours;
}

/** The part on its plate, matte, with its features as callouts like on a workshop drawing. */
export default function PartView({ corners, bounds, callouts, activeId, onPlace, cut }: PartViewProps) {
  const frame = useRef<HTMLDivElement>(null);
  const [placed, setPlaced] = useState<readonly PlacedCallout[]>([]);
  const colours = useColours();
  const geometry = useMemo(() => {
    const made = new BufferGeometry();
    // Flat shading takes its normals from the screen: none are computed here.
    made.setAttribute('position', new BufferAttribute(corners, 3));
    return made;
  }, [corners]);
  useEffect(() => () => geometry.dispose(), [geometry]);
  const size = Math.max(...[0, 1, 2].map((i) => bounds.max[i] - bounds.min[i]));
  // Kept as one array: the projection runs whenever it changes.
  const middle = useMemo(
    () => [0, 1, 2].map((i) => (bounds.min[i] + bounds.max[i]) / 2) as [number, number, number],
    [bounds],
  );
  const atMm = cut?.atMm;
  const clip = useMemo(() => (atMm === undefined ? [] : [new Plane(new Vector3(0, 0, -1), atMm)]), [atMm]);
  const place = (event: ThreeEvent<MouseEvent>) => {
    if (onPlace === undefined || event.delta > 4) return;
    event.stopPropagation();
    onPlace(event.point.toArray());
  };
  return (
    <div ref={frame} className={`relative h-full w-full ${onPlace === undefined ? '' : 'cursor-crosshair'}`}>
      <Canvas
        frameloop="demand"
        gl={{ localClippingEnabled: true }}
        camera={{
          fov: 30,
          up: [0, 0, 1],
          position: [middle[0] - 1.75 * size, middle[1] - 2.5 * size, middle[2] + 1.9 * size],
          near: size / 100,
          far: size * 40,
        }}
        aria-hidden
      >
        <ambientLight intensity={1.2} />
        <directionalLight position={[-size * 2, -size * 3, size * 4]} intensity={1.6} />
        <directionalLight position={[size * 3, size, size]} intensity={0.5} />
        <mesh geometry={geometry} onClick={place}>
          <meshStandardMaterial
            color={colours.part}
            roughness={0.95}
            metalness={0}
            flatShading
            clippingPlanes={clip}
            side={DoubleSide}
          />
        </mesh>
        {cut !== undefined && <CutFace cut={cut} colour={colours.edge} />}
        <PlateGrid bounds={bounds} size={size} colour={colours.edge} />
        <OrbitControls target={middle} enableDamping={false} makeDefault />
        <Projection callouts={callouts} middle={middle} onPlaced={setPlaced} />
      </Canvas>
      <CalloutOverlay callouts={placed} activeId={activeId} />
    </div>
  );
}

/** The layer that is being made, filled between its contours. */
function CutFace({ cut: { atMm, contours }, colour }: { cut: Cut; colour: string }) {
  const geometry = useMemo(() => {
    // The path sorts out which of its lines are holes in which.
    const path = new ShapePath();
    for (const points of contours) {
      path.moveTo(points[0], points[1]);
      for (let i = 2; i < points.length; i += 2) path.lineTo(points[i], points[i + 1]);
    }
    return new ShapeGeometry(path.toShapes());
  }, [contours]);
  useEffect(() => () => geometry.dispose(), [geometry]);
  return (
    <mesh geometry={geometry} position={[0, 0, atMm]}>
      <meshBasicMaterial color={colour} side={DoubleSide} />
    </mesh>
  );
}

const PLATE_STEP_MM = 5;

function PlateGrid({ bounds, size, colour }: { bounds: Bounds; size: number; colour: string }) {
  const steps = Math.ceil((1.6 * size) / PLATE_STEP_MM / 2) * 2;
  return (
    <gridHelper
      args={[steps * PLATE_STEP_MM, steps, colour, colour]}
      rotation={[Math.PI / 2, 0, 0]}
      position={[
        (bounds.min[0] + bounds.max[0]) / 2,
        (bounds.min[1] + bounds.max[1]) / 2,
        bounds.min[2] - size * 1e-3,
      ]}
      material-transparent
      material-opacity={0.35}
    />
  );
}

interface ProjectionProps {
  readonly callouts: readonly Callout[];
  readonly middle: readonly [number, number, number];
  readonly onPlaced: (callouts: readonly PlacedCallout[]) => void;
}

/** Projects the anchors to the page whenever the view turns. */
function Projection({ callouts, middle, onPlaced }: ProjectionProps) {
  const { camera, size, controls } = useThree();
  useEffect(() => {
    const project = (point: readonly [number, number, number]): [number, number] => {
      const at = new Vector3(...point).project(camera as PerspectiveCamera);
      return [((at.x + 1) / 2) * size.width, ((1 - at.y) / 2) * size.height];
    };
    const update = () => {
      camera.updateMatrixWorld();
      const anchors = callouts.map(({ id, label, anchorMm }) => ({ id, label, at: project(anchorMm) }));
      onPlaced(layOutCallouts(anchors, { middle: project(middle), width: size.width, height: size.height }));
    };
    update();
    const turning = controls as unknown as {
      addEventListener?: (type: string, run: () => void) => void;
      removeEventListener?: (type: string, run: () => void) => void;
    } | null;
    turning?.addEventListener?.('change', update);
    return () => turning?.removeEventListener?.('change', update);
  }, [camera, callouts, controls, middle, onPlaced, size]);
  return null;
}

function CalloutOverlay({ callouts, activeId }: { callouts: readonly PlacedCallout[]; activeId?: number }) {
  return (
    <svg className="pointer-events-none absolute inset-0 h-full w-full" aria-hidden>
      {callouts.map(({ id, label, from, to, end }) => (
        <g key={id} className={id === activeId ? 'fill-juniper stroke-juniper' : 'fill-ink stroke-ink'}>
          <circle cx={from[0]} cy={from[1]} r={3} stroke="none" />
          <path
            d={`M${from[0]} ${from[1]}L${to[0]} ${to[1]}H${end}`}
            fill="none"
            strokeWidth={id === activeId ? 2 : 1}
          />
          <text
            x={end > to[0] ? to[0] + 4 : to[0] - 4}
            y={to[1] - 4}
            textAnchor={end > to[0] ? 'start' : 'end'}
            stroke="none"
            className={`text-[13px] ${id === activeId ? 'font-semibold' : ''}`}
          >
            {label}
          </text>
        </g>
      ))}
    </svg>
  );
}
