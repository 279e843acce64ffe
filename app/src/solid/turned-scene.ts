import { Scene, Vector3, WebGLRenderer } from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import { SolidView, type LookFrom } from './solid-view.ts';

/** What stands on a canvas and is turned, by hand or by keys; z is up, as the cake's is. */
export class TurnedScene {
  protected readonly renderer: WebGLRenderer;
  protected readonly scene = new Scene();
  protected readonly view = new SolidView();
  protected readonly camera = this.view.camera;
  protected readonly controls: OrbitControls;
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
    this.controls = new OrbitControls(this.camera, canvas);
    this.controls.enableDamping = false;
    this.controls.addEventListener('change', () => this.draw());
  }

  look(from: LookFrom): void {
    this.view.look(from, this.controls.target);
    this.controls.update();
    this.size();
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
    return this.view.frame(w, h);
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
