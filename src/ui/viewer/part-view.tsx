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
import type { Bounds } from '@/core/part/mesh';
import { layOutCallouts, type PlacedCallout } from './callouts';

/** A feature shown on the part with a leader line. */
export interface Callout {
  readonly id: number;
  /** Its number in the list beside the picture, where there is one. */
  readonly number?: number;
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
  /** Called with the callout that was clicked: its row is shown then. */
  readonly onChoose?: (id: number) => void;
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
export default function PartView(props: PartViewProps) {
  const { corners, bounds, callouts, activeId, onPlace, onChoose, cut } = props;
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
  // One array for both: the projection runs whenever it changes.
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
      <CalloutOverlay callouts={placed} activeId={activeId} onChoose={onChoose} />
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
      const anchors = callouts.map(({ anchorMm, ...callout }) => ({
        ...callout,
        at: project(anchorMm),
      }));
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

interface CalloutOverlayProps {
  readonly callouts: readonly PlacedCallout[];
  readonly activeId?: number;
  readonly onChoose?: (id: number) => void;
}

/** Callouts over the picture; by mouse they lead to their rows, by keyboard the rows themselves are there. */
function CalloutOverlay({ callouts, activeId, onChoose }: CalloutOverlayProps) {
  // The active one is drawn last, over the others.
  const ordered = [...callouts].sort((a, b) => Number(a.id === activeId) - Number(b.id === activeId));
  return (
    <svg className="pointer-events-none absolute inset-0 h-full w-full" aria-hidden>
      {ordered.map((callout) => (
        <g
          key={callout.id}
          onClick={onChoose && (() => onChoose(callout.id))}
          className={`${callout.id === activeId ? 'fill-juniper stroke-juniper' : 'fill-ink stroke-ink'} ${onChoose === undefined ? '' : 'pointer-events-auto cursor-pointer'}`}
        >
          {callout.isBadge ? (
            <Badge callout={callout} isActive={callout.id === activeId} />
          ) : (
            <Leader callout={callout} isActive={callout.id === activeId} />
          )}
        </g>
      ))}
    </svg>
  );
}

interface CalloutProps {
  readonly callout: PlacedCallout;
  readonly isActive: boolean;
}

/** A number in a ring at its place on the part. */
function Badge({ callout: { from, label }, isActive }: CalloutProps) {
  return (
    <>
      <circle cx={from[0]} cy={from[1]} r={isActive ? 11 : 9} className={isActive ? '' : 'fill-ground'} />
      <text
        x={from[0]}
        y={from[1] + 4}
        textAnchor="middle"
        stroke="none"
        className={`text-[11px] ${isActive ? 'fill-on-juniper font-semibold' : ''}`}
      >
        {label}
      </text>
    </>
  );
}

/** A label beside the part with a line to its place. */
function Leader({ callout: { from, to, end, label }, isActive }: CalloutProps) {
  return (
    <>
      <circle cx={from[0]} cy={from[1]} r={3} stroke="none" />
      <path
        d={`M${from[0]} ${from[1]}L${to[0]} ${to[1]}H${end}`}
        fill="none"
        strokeWidth={isActive ? 2 : 1}
      />
      <text
        x={end > to[0] ? to[0] + 4 : to[0] - 4}
        y={to[1] - 4}
        textAnchor={end > to[0] ? 'start' : 'end'}
        stroke="none"
        className={`text-[13px] ${isActive ? 'font-semibold' : ''}`}
      >
        {label}
      </text>
    </>
  );
}
