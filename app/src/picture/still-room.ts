import type { CakePicture } from '@pyrgotect/core';
import { Scene, Vector3, WebGLRenderer } from 'three';
import { SolidView } from '../solid/solid-view.ts';
import type { Colours } from '../styles/palette.ts';
import { CakeSolid } from './cake-solid.ts';
import type { CarvedMesh } from './carved-mesh.ts';
import { pictureColours } from './picture-colours.ts';

/** A picture of a cake that stands still, three-quarter: data alone, so that a worker can be asked. */
export interface StillAsked {
  picture: CakePicture;
  carved: readonly CarvedMesh[];
  colours: Colours;
  /** Pixels. */
  wide: number;
  high: number;
}

/** Where cakes stand still for their picture: one canvas, of a page or of a worker, cake after cake. */
export class StillRoom {
  private readonly renderer: WebGLRenderer;
  private readonly scene = new Scene();
  private readonly view = new SolidView();
  private solid: CakeSolid | null = null;

  /** @throws when the browser has no WebGL there */
  constructor(private readonly canvas: HTMLCanvasElement | OffscreenCanvas) {
    if (!canvas.getContext('webgl2', { antialias: true, alpha: true, preserveDrawingBuffer: true }))
      throw new Error('no WebGL');
    this.renderer = new WebGLRenderer({
      canvas,
      antialias: true,
      alpha: true,
      preserveDrawingBuffer: true,
    });
  }

  /** Drawn at once and written after: another cake may come in meanwhile. */
  still({ picture, carved, colours, wide, high }: StillAsked): Promise<Blob> {
    const solid = this.solidIn(colours);
    const room = solid.show({ picture, carved, upTo: null, isOpen: false, apartMm: 0 });
    this.view.room = room;
    this.view.look('corner', new Vector3(0, 0, room.min.z + (room.max.z - room.min.z) * 0.45));
    this.renderer.setPixelRatio(1);
    this.renderer.setSize(wide, high, false);
    solid.ink(this.view.frame(wide, high));
    this.renderer.render(this.scene, this.view.camera);
    return this.blob();
  }

  /** One for all cakes: what it is painted with is made ready once. */
  private solidIn(colours: Colours): CakeSolid {
    if (this.solid) this.solid.recolour(pictureColours(colours));
    else {
      this.solid = new CakeSolid(pictureColours(colours));
      this.scene.add(this.solid.whole);
    }
    return this.solid;
  }

  end(): void {
    this.solid?.end();
    this.renderer.dispose();
    this.renderer.forceContextLoss();
  }

  private async blob(): Promise<Blob> {
    if (!('toBlob' in this.canvas)) return this.canvas.convertToBlob({ type: 'image/png' });
    const { canvas } = this;
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
    if (!blob) throw new Error('The picture is too large for this browser');
    return blob;
  }
}
