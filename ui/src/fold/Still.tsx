import { useEffect, useRef } from "react";
import { Matrix4, Vector3 } from "three";
import type { FoldShown } from "../api/api.gen";
import type { Face } from "./faces";
import { ball, poses, positions, type Surface, surfaces } from "./pose";

interface Props {
  fold: FoldShown;
  faces: Record<string, Face>;
  share: number;
  fill: number;
  /** How far it is turned to the right and up, in radians. */
  turn: [number, number];
  hold: (canvas: HTMLCanvasElement | null) => void;
}

/** The cover drawn without the help of a graphics card: triangle by triangle, the farthest first. */
export function Still({ fold, faces, share, fill, turn, hold }: Props) {
  const ref = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    hold(ref.current);
    return () => hold(null);
  }, [hold]);
  useEffect(() => {
    const canvas = ref.current;
    const context = canvas?.getContext("2d");
    if (!canvas || !context) return;
    const box = canvas.getBoundingClientRect();
    [canvas.width, canvas.height] = [Math.max(1, Math.round(2 * box.width)), Math.max(1, Math.round(2 * box.height))];
    draw(context, canvas.width, canvas.height, triangles(fold, share, fill, turn), faces);
  }, [fold, faces, share, fill, turn]);
  return <canvas ref={ref} className="fold-still" />;
}

interface Triangle {
  piece: string;
  /** Its corners on the picture, y down, and on the picture of its piece, 0 to 1 and y down. */
  at: [Vector3, Vector3, Vector3];
  uv: [number, number][];
  depth: number;
  /** Whether its right side is seen, and how much light falls on it. */
  outside: boolean;
  light: number;
}

const lamp = new Vector3(-0.42, 0.7, 0.58).normalize();

/** The triangles of a fold as they are seen, the farthest first. */
export function triangles(fold: FoldShown, share: number, fill: number, [across, up]: [number, number]): Triangle[] {
  const list = surfaces(fold.leaves);
  const at = poses(fold.leaves, share);
  const points = list.map((s) => positions(s, at, fill * share));
  const { middle, radius } = ball(points);
  const view = new Matrix4()
    .makeRotationX(up)
    .multiply(new Matrix4().makeRotationY(across))
    .multiply(new Matrix4().makeScale(1 / radius, 1 / radius, 1 / radius))
    .multiply(new Matrix4().makeTranslation(-middle.x, -middle.y, -middle.z));
  const out = list.flatMap((s, i) => seen(s, points[i] as Float32Array, view));
  // What is seen of the inside of a closed cover lies behind all of its outside.
  const layer = (t: Triangle) => (share > 0.9 && t.outside ? 1 : 0);
  return out.sort((a, b) => layer(a) - layer(b) || a.depth - b.depth);
}

function seen(s: Surface, points: Float32Array, view: Matrix4): Triangle[] {
  const out: Triangle[] = [];
  for (let i = 0; i < s.index.length; i += 3) {
    const corners = s.index.slice(i, i + 3);
    const at = corners.map((k) => new Vector3().fromArray(points, 3 * k).applyMatrix4(view)) as Triangle["at"];
    const normal = new Vector3().subVectors(at[1], at[0]).cross(new Vector3().subVectors(at[2], at[0]));
    if (normal.length() < 1e-9) continue;
    normal.normalize();
    const outside = normal.z > 0;
    out.push({
      piece: s.piece,
      at,
      uv: corners.map((k) => [s.uv[2 * k] as number, 1 - (s.uv[2 * k + 1] as number)]),
      // What looks away lies behind what it is the back of.
      depth: (at[0].z + at[1].z + at[2].z) / 3 - (outside ? 0 : 1e-3),
      outside,
      light: Math.abs(normal.dot(lamp)),
    });
  }
  return out;
}

function draw(
  context: CanvasRenderingContext2D,
  width: number,
  height: number,
  list: Triangle[],
  faces: Record<string, Face>,
) {
  const scale = 0.46 * Math.min(width, height);
  const x = (v: Vector3) => width / 2 + scale * v.x;
  const y = (v: Vector3) => height / 2 - scale * v.y;
  context.clearRect(0, 0, width, height);
  for (const t of list) {
    const face = faces[t.piece];
    const picture = t.outside ? face?.outside : face?.inside;
    if (!picture) continue;
    context.save();
    context.beginPath();
    for (const p of grown(t.at.map((v) => [x(v), y(v)]))) context.lineTo(p[0] as number, p[1] as number);
    context.closePath();
    context.clip();
    const map = affine(
      t.uv.map(([u, v]) => [u * picture.width, v * picture.height]),
      t.at.map((v) => [x(v), y(v)]),
    );
    if (map) {
      context.setTransform(...map);
      context.drawImage(picture, 0, 0);
    }
    context.restore();
    context.fillStyle = `rgba(30, 39, 66, ${(0.42 * (1 - t.light)).toFixed(3)})`;
    context.fill();
  }
}

/** A triangle a pixel larger, so that no gap shows between neighbours. */
function grown(p: number[][]): number[][] {
  const [cx, cy] = [0, 1].map((k) => p.reduce((sum, v) => sum + (v[k] as number), 0) / 3) as [number, number];
  return p.map(([px, py]) => {
    const [dx, dy] = [(px as number) - cx, (py as number) - cy];
    const long = Math.hypot(dx, dy) || 1;
    return [(px as number) + dx / long, (py as number) + dy / long];
  });
}

/** The map that brings three points to three others; null where they lie in a line. */
export function affine(from: number[][], to: number[][]): [number, number, number, number, number, number] | null {
  const [[x0, y0], [x1, y1], [x2, y2]] = from as [[number, number], [number, number], [number, number]];
  const det = (x1 - x0) * (y2 - y0) - (x2 - x0) * (y1 - y0);
  if (Math.abs(det) < 1e-9) return null;
  const row = (k: number): [number, number, number] => {
    const [v0, v1, v2] = to.map((p) => p[k]) as [number, number, number];
    const a = ((v1 - v0) * (y2 - y0) - (v2 - v0) * (y1 - y0)) / det;
    const b = ((v2 - v0) * (x1 - x0) - (v1 - v0) * (x2 - x0)) / det;
    return [a, b, v0 - a * x0 - b * y0];
  };
  const [a, c, e] = row(0);
  const [b, d, f] = row(1);
  return [a, b, c, d, e, f];
}
