import type { CarveView, Shown } from '@pyrgotect/core/solids';
import {
  AmbientLight,
  Box3,
  BufferAttribute,
  BufferGeometry,
  Color,
  DirectionalLight,
  DoubleSide,
  GridHelper,
  Group,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  MeshBasicMaterial,
  MeshLambertMaterial,
  PlaneGeometry,
  Raycaster,
  Vector2,
  Vector3,
} from 'three';
import { followPointer, type PointerAt } from '../drawings/follow-pointer.ts';
import { TurnedScene } from './turned-scene.ts';

/** A flat cut shown in the view, which can be taken hold of. */
export interface ShownPlane {
  normal: [number, number, number];
  /** A point it goes through. */
  at: [number, number, number];
}
export interface SceneColours {
  ink: string;
  accent: string;
  board: string;
  ground: string;
  parts: (part: string) => string;
}

/** The carved tier, its offcuts beside it, and the sheet of its flat cut. */
export class SolidScene extends TurnedScene {
  private cake = new Group();
  private plane: Mesh | null = null;
  private sheetMm = 300;
  private framed = '';

  /** @throws when the browser has no WebGL */
  constructor(
    canvas: HTMLCanvasElement,
    private colours: SceneColours,
    private readonly dragged: (delta: [number, number, number]) => void,
  ) {
    super(canvas);
    const sun = new DirectionalLight(0xffffff, 1.5);
    sun.position.set(-300, -500, 700);
    this.scene.add(new AmbientLight(0xffffff, 1.9), sun, this.cake);
    canvas.addEventListener('pointerdown', this.press);
    this.look('corner');
  }

  /** Shows the cake anew. */
  show(view: CarveView, offcuts: boolean): void {
    this.empty(this.cake);
    for (const piece of view.pieces) this.cake.add(this.meshOf(piece));
    this.cake.add(this.inkOf(view.edges));
    const beside = offcuts ? view.offcuts : [];
    for (const { shown, edges, at } of beside)
      for (const each of [this.meshOf(shown), this.inkOf(edges)]) {
        each.position.set(...at);
        this.cake.add(each);
      }
    const wide = view.reachMm * 2 + 60;
    const board = new Mesh(
      new PlaneGeometry(wide, wide),
      new MeshBasicMaterial({ color: this.colours.board, side: DoubleSide }),
    );
    board.position.z = -0.6;
    const grid = new GridHelper(wide, Math.round(wide / 20), this.colours.ink, this.colours.ground);
    grid.rotateX(Math.PI / 2);
    grid.position.z = -0.3;
    this.cake.add(board, grid);
    const { reachMm, topMm } = view;
    const over = (k: 'x0' | 'x1' | 'y0' | 'y1', pick: typeof Math.min, own: number): number =>
      pick(own, ...beside.map(({ box }) => box[k]));
    this.view.room = new Box3(
      new Vector3(over('x0', Math.min, -reachMm), over('y0', Math.min, -reachMm), 0),
      new Vector3(over('x1', Math.max, reachMm), over('y1', Math.max, reachMm), topMm),
    );
    this.sheetMm = reachMm * 2.6;
    this.controls.target.set(0, 0, topMm * 0.45);
    // a change of the cut leaves the view as it was turned; another cake, or offcuts, do not
    const frame = `${Math.round(reachMm / 10)}/${Math.round(topMm / 10)}/${beside.length > 0}`;
    if (this.framed !== frame) this.look('corner');
    this.framed = frame;
    this.size();
  }

  /** Shows a flat cut as a see-through sheet, or none. */
  showPlane(plane: ShownPlane | null): void {
    if (this.plane) {
      this.scene.remove(this.plane);
      this.plane.geometry.dispose();
      this.plane = null;
    }
    if (plane) {
      const wide = this.sheetMm;
      this.plane = new Mesh(
        new PlaneGeometry(wide, wide),
        new MeshBasicMaterial({
          color: this.colours.accent,
          transparent: true,
          opacity: 0.28,
          side: DoubleSide,
          depthWrite: false,
        }),
      );
      this.plane.position.set(...plane.at);
      this.plane.lookAt(new Vector3(...plane.at).add(new Vector3(...plane.normal)));
      this.scene.add(this.plane);
    }
    this.draw();
  }

  recolour(colours: SceneColours): void {
    this.colours = colours;
  }

  override end(): void {
    this.canvas.removeEventListener('pointerdown', this.press);
    this.empty(this.cake);
    super.end();
  }

  private meshOf({ corners, normals, partOf, parts }: Shown): Mesh {
    const geometry = new BufferGeometry();
    geometry.setAttribute('position', new BufferAttribute(corners, 3));
    const colours = new Float32Array(corners.length);
    const tones = parts.map((part) => new Color(this.colours.parts(part)));
    partOf.forEach((part, t) => {
      const { r, g, b } = tones[part]!;
      for (let v = 0; v < 3; v++) colours.set([r, g, b], t * 9 + v * 3);
    });
    geometry.setAttribute('color', new BufferAttribute(colours, 3));
    geometry.setAttribute('normal', new BufferAttribute(normals, 3));
    return new Mesh(
      geometry,
      new MeshLambertMaterial({
        vertexColors: true,
        side: DoubleSide,
        polygonOffset: true,
        polygonOffsetFactor: 1,
        polygonOffsetUnits: 1,
      }),
    );
  }

  private inkOf(edges: Float32Array): LineSegments {
    const lines = new BufferGeometry();
    lines.setAttribute('position', new BufferAttribute(edges, 3));
    return new LineSegments(lines, new LineBasicMaterial({ color: this.colours.ink }));
  }

  private empty(group: Group): void {
    for (const child of [...group.children]) {
      group.remove(child);
      const { geometry, material } = child as Mesh<BufferGeometry, MeshBasicMaterial>;
      geometry.dispose();
      material.dispose();
    }
  }

  /** Taking hold of the cut's sheet moves it along its own normal; anything else turns the view. */
  private readonly press = (event: PointerEvent): void => {
    if (!this.plane) return;
    const box = this.canvas.getBoundingClientRect();
    const at = new Vector2(
      ((event.clientX - box.left) / box.width) * 2 - 1,
      1 - ((event.clientY - box.top) / box.height) * 2,
    );
    const ray = new Raycaster();
    ray.setFromCamera(at, this.camera);
    const [hit] = ray.intersectObject(this.plane);
    if (!hit) return;
    const normal = new Vector3(0, 0, 1).applyQuaternion(this.plane.quaternion);
    // how the normal lies on the screen, in pixels to the millimetre
    const from = this.plane.position.clone().project(this.camera);
    const to = this.plane.position.clone().add(normal).project(this.camera);
    const way = new Vector2(((to.x - from.x) * box.width) / 2, (-(to.y - from.y) * box.height) / 2);
    const perMm = way.length();
    const start = this.plane.position.clone();
    let moved = 0;
    const move = ({ event: now }: PointerAt): void => {
      if (perMm < 0.05) return;
      const along =
        ((now.clientX - event.clientX) * way.x + (now.clientY - event.clientY) * way.y) / perMm;
      moved = Math.round(along / perMm);
      this.plane?.position.copy(start).addScaledVector(normal, moved);
      this.draw();
    };
    const end = (): void => {
      this.controls.enabled = true;
      if (moved !== 0) this.dragged([normal.x * moved, normal.y * moved, normal.z * moved]);
    };
    if (!followPointer(event, { move, end })) return;
    this.controls.enabled = false;
    event.stopPropagation();
  };
}
