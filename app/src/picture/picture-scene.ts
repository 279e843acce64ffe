import { Color, Raycaster, Vector2, type Group } from 'three';
import { TurnedScene } from '../solid/turned-scene.ts';
import { CakeSolid, type PictureShown } from './cake-solid.ts';
import type { PictureColours } from './paints.ts';

/** A machine that draws fewer frames than this leaves the line of ink away while it is turned, ms to a frame. */
const slowMs = 45;
/** And it is drawn in so many pixels to one of the page meanwhile. */
const coarsePixels = 0.7;
/** So long after the last turn it rests, ms. */
const restMs = 140;

/** The finished cake, turned as one likes; what is chosen in it is told. */
export class PictureScene extends TurnedScene {
  private readonly solid: CakeSolid;
  private framed = '';
  private turnedAt = 0;
  private isCoarse = false;
  private resting: ReturnType<typeof setTimeout> | undefined;

  constructor(
    canvas: HTMLCanvasElement,
    colours: PictureColours,
    private readonly chosen: (part: string) => void,
  ) {
    super(canvas, { keepsPicture: true });
    this.solid = new CakeSolid(colours);
    this.scene.add(this.solid.whole);
    this.controls.addEventListener('change', this.moved);
    canvas.addEventListener('pointerdown', this.press);
    canvas.addEventListener('pointerup', this.release);
  }

  recolour(colours: PictureColours): void {
    this.solid.recolour(colours);
  }

  /** Shows the cake anew; how it was turned stays, unless it is another cake. */
  show(shown: PictureShown): void {
    this.coarsen(false);
    const room = this.solid.show(shown);
    this.view.room = room;
    this.controls.target.set(0, 0, room.max.z * 0.45);
    const framed = [room.min.x, room.max.x, room.max.z].map((mm) => Math.round(mm / 5)).join('/');
    if (this.framed === '') this.look('corner');
    else if (this.framed !== framed) this.view.measure();
    this.framed = framed;
    this.size();
  }

  protected override frame(w: number, h: number): number {
    const mmPerPx = super.frame(w, h);
    this.solid.ink(mmPerPx / this.camera.zoom);
    return mmPerPx;
  }

  /** The picture as it is turned now, so many pixels wide and high, on paper or on nothing. */
  async image(wide: number, high: number, ground: string | null): Promise<Blob> {
    this.coarsen(false);
    const { ratio, size } = { ratio: this.renderer.getPixelRatio(), size: this.renderer.getSize(new Vector2()) }; // prettier-ignore
    this.scene.background = ground === null ? null : new Color(ground);
    this.renderer.setPixelRatio(1);
    this.renderer.setSize(wide, high, false);
    this.frame(wide, high);
    this.renderer.render(this.scene, this.camera);
    const blob = await new Promise<Blob | null>((done) => this.canvas.toBlob(done, 'image/png'));
    this.scene.background = null;
    this.renderer.setPixelRatio(ratio);
    this.renderer.setSize(size.x, size.y, false);
    this.size();
    if (!blob) throw new Error('The picture is too large for this browser');
    return blob;
  }

  /** What is shown as solids without ink and shadow, for a file: y up, metres, as such files have it. */
  solids(): Group {
    return this.solid.solids();
  }
  /** The same for a file in millimetres, z up; words are painted and left out. */
  fileSolids(): ReturnType<CakeSolid['fileSolids']> {
    return this.solid.fileSolids();
  }

  override end(): void {
    clearTimeout(this.resting);
    this.canvas.removeEventListener('pointerdown', this.press);
    this.canvas.removeEventListener('pointerup', this.release);
    this.solid.end();
    super.end();
  }

  /** Being turned, on a machine that is slow at it, the picture goes without its line of ink until it rests. */
  private readonly moved = (): void => {
    const now = performance.now();
    const between = now - this.turnedAt;
    this.turnedAt = now;
    if (between < slowMs || between > 10 * slowMs) return;
    this.coarsen(true);
    clearTimeout(this.resting);
    this.resting = setTimeout(() => {
      this.coarsen(false);
      this.draw();
    }, restMs);
  };
  /** Without the line of ink and in fewer pixels, or as fine as it is. */
  private coarsen(isCoarse: boolean): void {
    if (isCoarse === this.isCoarse) return;
    this.isCoarse = isCoarse;
    this.solid.showInk(!isCoarse);
    this.renderer.setPixelRatio(isCoarse ? coarsePixels : Math.min(2, devicePixelRatio));
  }

  private pressedAt: Vector2 | null = null;
  private readonly press = (event: PointerEvent): void => {
    this.pressedAt = new Vector2(event.clientX, event.clientY);
  };
  /** A press that did not turn the view chooses what is under it. */
  private readonly release = (event: PointerEvent): void => {
    if (!this.pressedAt || this.pressedAt.distanceTo(new Vector2(event.clientX, event.clientY)) > 4) return; // prettier-ignore
    const part = this.partAt(event.clientX, event.clientY);
    if (part !== null) this.chosen(part);
  };

  /** The part under a place of the screen; null beside the cake. */
  partAt(x: number, y: number): string | null {
    const box = this.canvas.getBoundingClientRect();
    const ray = new Raycaster();
    ray.setFromCamera(
      new Vector2(((x - box.left) / box.width) * 2 - 1, 1 - ((y - box.top) / box.height) * 2),
      this.camera,
    );
    const [hit] = ray.intersectObjects(this.solid.pressable, false);
    return hit ? this.solid.partOf(hit.object, hit.faceIndex ?? 0, hit.instanceId ?? 0) : null;
  }
}
