import { Box3, OrthographicCamera, Scene, Vector3, WebGLRenderer } from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';

/** From where a solid is looked at. */
export type LookFrom = 'corner' | 'front' | 'right' | 'above';
const ways: Record<LookFrom, readonly [number, number, number]> = {
  corner: [-0.55, -1.35, 0.8],
  front: [0, -1, 0.0001],
  right: [1, 0, 0.0001],
  above: [0, -0.0001, 1],
};
const farMm = 3000;

/** What stands on a canvas and is turned, by hand or by keys; z is up, as the cake's is. */
export class TurnedScene {
  protected readonly renderer: WebGLRenderer;
  protected readonly scene = new Scene();
  protected readonly camera = new OrthographicCamera();
  protected readonly controls: OrbitControls;
  /** What has to be seen, from wherever it is looked at. */
  protected room = new Box3(new Vector3(-100, -100, 0), new Vector3(100, 100, 100));
  private bounds = { x: [-100, 100], y: [-100, 100] };
  private asked = false;

  /** @throws when the browser has no WebGL */
  constructor(
    protected readonly canvas: HTMLCanvasElement,
    { keepsPicture = false }: { keepsPicture?: boolean } = {},
  ) {
    if (
      !canvas.getContext('webgl2', {
        antialias: true,
        alpha: true,
        preserveDrawingBuffer: keepsPicture,
      })
    )
      throw new Error('no WebGL');
    this.renderer = new WebGLRenderer({
      canvas,
      antialias: true,
      alpha: true,
      preserveDrawingBuffer: keepsPicture,
    });
    this.camera.up.set(0, 0, 1);
    this.controls = new OrbitControls(this.camera, canvas);
    this.controls.enableDamping = false;
    this.controls.addEventListener('change', () => this.draw());
  }

  look(from: LookFrom): void {
    this.camera.position
      .copy(this.controls.target)
      .addScaledVector(new Vector3(...ways[from]).normalize(), farMm / 2);
    this.camera.near = 10;
    this.camera.far = farMm * 1.5;
    this.controls.update();
    this.camera.zoom = 1;
    this.measure();
    this.size();
  }

  /** What the room takes up on the screen, from where it is looked at now. */
  protected measure(): void {
    this.camera.updateMatrixWorld();
    const { min, max } = this.room;
    const seen = [min.x, max.x].flatMap((x) =>
      [min.y, max.y].flatMap((y) =>
        [min.z, max.z].map((z) =>
          new Vector3(x, y, z).applyMatrix4(this.camera.matrixWorldInverse),
        ),
      ),
    );
    const span = (k: 'x' | 'y'): [number, number] => [
      Math.min(...seen.map((v) => v[k])) - 12,
      Math.max(...seen.map((v) => v[k])) + 12,
    ];
    this.bounds = { x: span('x'), y: span('y') };
  }

  /** Turns the view by degrees, as the arrow keys do. */
  turn(round: number, up: number): void {
    const offset = this.camera.position.clone().sub(this.controls.target);
    const flat = Math.hypot(offset.x, offset.y);
    const bearing = Math.atan2(offset.y, offset.x) + (round * Math.PI) / 180;
    const rise = Math.max(-1.5, Math.min(1.55, Math.atan2(offset.z, flat) + (up * Math.PI) / 180));
    const far = offset.length();
    this.camera.position
      .copy(this.controls.target)
      .add(
        new Vector3(
          far * Math.cos(rise) * Math.cos(bearing),
          far * Math.cos(rise) * Math.sin(bearing),
          far * Math.sin(rise),
        ),
      );
    this.controls.update();
    this.draw();
  }
  zoom(by: number): void {
    this.camera.zoom = Math.max(0.3, Math.min(8, this.camera.zoom * by));
    this.camera.updateProjectionMatrix();
    this.draw();
  }

  size(): void {
    const { clientWidth: w, clientHeight: h } = this.canvas;
    if (w === 0 || h === 0) return;
    this.renderer.setPixelRatio(Math.min(2, devicePixelRatio));
    this.renderer.setSize(w, h, false);
    this.frame(w, h);
    this.draw();
  }

  /** Fits what has to be seen into so many pixels; mm to one of them. */
  protected frame(w: number, h: number): number {
    const [x0, x1] = this.bounds.x as [number, number];
    const [y0, y1] = this.bounds.y as [number, number];
    // as large as fits both ways, in the middle
    const mmPerPx = Math.max((x1 - x0) / w, (y1 - y0) / h);
    const [cx, cy] = [(x0 + x1) / 2, (y0 + y1) / 2];
    Object.assign(this.camera, {
      left: cx - (mmPerPx * w) / 2,
      right: cx + (mmPerPx * w) / 2,
      bottom: cy - (mmPerPx * h) / 2,
      top: cy + (mmPerPx * h) / 2,
    });
    this.camera.updateProjectionMatrix();
    return mmPerPx;
  }

  end(): void {
    this.controls.dispose();
    this.renderer.dispose();
    this.renderer.forceContextLoss();
  }

  protected draw(): void {
    if (this.asked) return;
    this.asked = true;
    requestAnimationFrame(() => {
      this.asked = false;
      this.renderer.render(this.scene, this.camera);
    });
  }
}

/** Arrow keys turn, plus and minus come nearer; true where a key was one of these. */
export function turnByKey(event: KeyboardEvent, scene: TurnedScene | null): boolean {
  const by: Record<string, () => void> = {
    ArrowLeft: () => scene?.turn(-10, 0),
    ArrowRight: () => scene?.turn(10, 0),
    ArrowUp: () => scene?.turn(0, 10),
    ArrowDown: () => scene?.turn(0, -10),
    '+': () => scene?.zoom(1.15),
    '-': () => scene?.zoom(1 / 1.15),
  };
  const act = by[event.key];
  if (!act) return false;
  event.preventDefault();
  event.stopPropagation();
  act();
  return true;
}
