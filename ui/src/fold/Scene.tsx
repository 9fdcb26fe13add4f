import { Canvas, useThree } from "@react-three/fiber";
import { useEffect, useMemo, useState } from "react";
import {
  BackSide,
  BufferAttribute,
  BufferGeometry,
  CanvasTexture,
  DoubleSide,
  FrontSide,
  SRGBColorSpace,
  type Texture,
  Vector3,
} from "three";
import { OrbitControls } from "three/examples/jsm/controls/OrbitControls.js";
import type { FoldShown, FoldSolid } from "../api/api.gen";
import type { Face } from "./faces";
import { ball, poses, positions, type Surface, surfaces } from "./pose";

export interface SceneProps {
  fold: FoldShown;
  faces: Record<string, Face>;
  /** How far it is folded and how full it is, 0 to 1. */
  share: number;
  fill: number;
  /** Shows what is inside, and the cover as if it let light through. */
  through: boolean;
  /** Given what turns the picture, by radians to the right and up, and what gives it as a PNG. */
  hold: (hands: Hands | null) => void;
  /** Called when the picture can be drawn no more. */
  lost: () => void;
}

export interface Hands {
  turn: (across: number, up: number) => void;
  picture: () => Promise<Blob | null>;
}

/** The cover in three dimensions. */
export default function Scene(props: SceneProps) {
  return (
    <Canvas
      frameloop="demand"
      flat
      dpr={[1, 2]}
      camera={{ position: [1.2, 1.05, 2.75], fov: 32, near: 0.1, far: 20 }}
      gl={{ antialias: true, preserveDrawingBuffer: true }}
      onCreated={({ gl }) => gl.domElement.addEventListener("webglcontextlost", props.lost)}
    >
      <ambientLight intensity={1.5} />
      <directionalLight position={[-2.4, 3.6, 3]} intensity={1.6} />
      <directionalLight position={[3, 0.5, 1.5]} intensity={0.7} />
      <directionalLight position={[0, 1, -3]} intensity={0.7} />
      <Turning hold={props.hold} />
      <Cover {...props} />
    </Canvas>
  );
}

/** The hand on the picture: drag, wheel, and the keys of the frame round it. */
function Turning({ hold }: { hold: SceneProps["hold"] }) {
  const { camera, gl, invalidate, scene } = useThree();
  useEffect(() => {
    const controls = new OrbitControls(camera, gl.domElement);
    controls.enablePan = false;
    controls.enableDamping = false;
    controls.minDistance = 1.6;
    controls.maxDistance = 6;
    controls.addEventListener("change", () => invalidate());
    const turn = (across: number, up: number) => {
      const arm = camera.position.clone();
      const aside = new Vector3().crossVectors(new Vector3(0, 1, 0), arm).normalize();
      arm.applyAxisAngle(new Vector3(0, 1, 0), across);
      const raised = arm.clone().applyAxisAngle(aside.applyAxisAngle(new Vector3(0, 1, 0), across), -up);
      if (Math.abs(raised.y) < 0.98 * raised.length()) arm.copy(raised);
      camera.position.copy(arm);
      controls.update();
      invalidate();
    };
    const picture = () => {
      gl.render(scene, camera);
      return new Promise<Blob | null>((resolve) => gl.domElement.toBlob(resolve, "image/png"));
    };
    hold({ turn, picture });
    return () => {
      hold(null);
      controls.dispose();
    };
  }, [camera, gl, invalidate, scene, hold]);
  return null;
}

/** The pieces and the object, moved so that all is seen. */
function Cover({ fold, faces, share, fill, through }: SceneProps) {
  const list = useMemo(() => surfaces(fold.leaves), [fold]);
  const puffs = useMemo(() => new Map(fold.pieces.map((p) => [p.name, p.puff])), [fold]);
  const placed = useMemo(() => {
    const at = poses(fold.leaves, share);
    const points = list.map((s) => positions(s, at, fill * share));
    return { points, ...ball(points) };
  }, [fold, list, share, fill]);
  const { middle, radius } = placed;
  return (
    <group scale={1 / radius}>
      <group position={middle.clone().negate()}>
        {list.map((s, i) => (
          <Cloth
            key={s.key}
            surface={s}
            points={placed.points[i] as Float32Array}
            face={faces[s.piece]}
            puff={puffs.get(s.piece) ?? 0}
            through={through}
          />
        ))}
        {through && fold.solids.map((s) => <Thing key={`${s.kind} ${s.min.join()}`} solid={s} />)}
      </group>
    </group>
  );
}

/** A picture of a face as a texture. */
function useTexture(canvas: HTMLCanvasElement | undefined, colour: boolean): Texture | null {
  const [texture, setTexture] = useState<Texture | null>(null);
  const { invalidate, gl } = useThree();
  useEffect(() => {
    if (!canvas) return;
    const next = new CanvasTexture(canvas);
    if (colour) next.colorSpace = SRGBColorSpace;
    next.anisotropy = Math.min(4, gl.capabilities.getMaxAnisotropy());
    setTexture(next);
    invalidate();
    return () => next.dispose();
  }, [canvas, colour, gl, invalidate]);
  return texture;
}

/** How much of a cover is seen while one looks through it. */
const clear = 0.42;

function Cloth({
  surface,
  points,
  face,
  puff,
  through,
}: {
  surface: Surface;
  points: Float32Array;
  face?: Face;
  puff: number;
  through: boolean;
}) {
  const outside = useTexture(face?.outside, true);
  const inside = useTexture(face?.inside, true);
  const relief = useTexture(face?.relief, false);
  const geometry = useMemo(() => {
    const g = new BufferGeometry();
    g.setAttribute("position", new BufferAttribute(new Float32Array(3 * surface.leaf.length), 3));
    g.setAttribute("uv", new BufferAttribute(new Float32Array(surface.uv), 2));
    g.setIndex(surface.index);
    return g;
  }, [surface]);
  useEffect(() => () => geometry.dispose(), [geometry]);
  const { invalidate } = useThree();
  useEffect(() => {
    const at = geometry.getAttribute("position") as BufferAttribute;
    at.copyArray(points);
    at.needsUpdate = true;
    geometry.computeVertexNormals();
    geometry.computeBoundingSphere();
    invalidate();
  }, [geometry, points, invalidate]);
  if (!outside || !inside) return null;
  const light = { transparent: through, opacity: through ? clear : 1, depthWrite: !through };
  return (
    <>
      <mesh geometry={geometry}>
        <meshStandardMaterial
          key={`${through}`}
          map={outside}
          bumpMap={relief}
          bumpScale={1.2 + puff * 0.9}
          roughness={0.96}
          side={FrontSide}
          {...light}
        />
      </mesh>
      <mesh geometry={geometry}>
        <meshStandardMaterial
          key={`${through}`} // what is clear is another program
          map={inside}
          roughness={1}
          side={BackSide}
          polygonOffset
          polygonOffsetFactor={2}
          polygonOffsetUnits={2}
          {...light}
        />
      </mesh>
    </>
  );
}

const colours: Record<string, string> = { box: "#8d8a80", out: "#5f5c55", board: "#6f4a36", pages: "#f1ead8" };

/** The object inside the cover. */
function Thing({ solid }: { solid: FoldSolid }) {
  const [x1, y1, z1] = solid.min as [number, number, number];
  const [x2, y2, z2] = solid.max as [number, number, number];
  const { invalidate } = useThree();
  useEffect(() => invalidate(), [invalidate]);
  return (
    <mesh position={[(x1 + x2) / 2, -(y1 + y2) / 2, -(z1 + z2) / 2]}>
      <boxGeometry args={[x2 - x1, y2 - y1, z2 - z1]} />
      <meshStandardMaterial color={colours[solid.kind] ?? "#888888"} roughness={0.8} side={DoubleSide} />
    </mesh>
  );
}
