import type { CakePicture, PictureBody, PictureDrip, PictureGroup, Point } from '@pyrgotect/core';
import {
  AmbientLight,
  BackSide,
  Box3,
  BufferGeometry,
  CanvasTexture,
  Color,
  DirectionalLight,
  DoubleSide,
  Group,
  HemisphereLight,
  InstancedMesh,
  LineBasicMaterial,
  LineSegments,
  Matrix4,
  Mesh,
  MeshBasicMaterial,
  MeshLambertMaterial,
  MeshPhongMaterial,
  PlaneGeometry,
  Raycaster,
  Vector2,
  Vector3,
  type Material,
  type Object3D,
} from 'three';
import { light } from '../styles/palette.ts';
import { TurnedScene } from '../solid/turned-scene.ts';
import { addBodies, Triangles, type Drawn } from './body-mesh.ts';
import { dripEnd, dripShaft, pieceShape } from './piece-shapes.ts';
import { runMesh } from './run-mesh.ts';

export interface PictureColours {
  ink: string;
  shadow: string;
  /** The colour of a look: a hatch's ground, or a colour of its own. */
  of: (look: PictureBody['look']) => string;
}
/** A carved tier as the solids gave it: corners of triangles, and its place. */
export interface CarvedMesh {
  tierId: string;
  part: string;
  corners: Float32Array;
  normals: Float32Array;
  /** Of each triangle. */
  looks: PictureBody['look'][];
  at: { x: number; y: number; z: number };
  coatMm: number;
  step: number;
}
/** What of the picture is shown, and how. */
export interface PictureShown {
  picture: CakePicture;
  carved: readonly CarvedMesh[];
  /** The last step of the building that is shown; null for the finished cake. */
  upTo: number | null;
  /** Whether a wedge was taken out: what lies inside is seen. */
  isOpen: boolean;
  /** Room between the tiers, mm. */
  apartMm: number;
}

/** From here on a group's pieces are made of fewer triangles each. */
const manyFrom = 24;
/** A machine that draws fewer frames than this leaves the line of ink away while it is turned, ms to a frame. */
const slowMs = 45;
/** And it is drawn in so many pixels to one of the page meanwhile. */
const coarsePixels = 0.7;
/** So long after the last turn it rests, ms. */
const restMs = 140;
/** How thick the line of ink round everything is, px. */
const inkPx = 1.1;
/** What is poured shines a little. */
const gloss = { shininess: 45, specular: light.gloss };
const wet = new Set<PictureBody['kind']>(['poured', 'flood']);

/** Corners moved out by so much, each by all the faces that meet there, so that nothing comes apart at an edge. */
function grown(corners: Float32Array, normals: Float32Array, byMm: number): Float32Array {
  const at = (i: number): string =>
    `${Math.round(corners[i]! * 100)}/${Math.round(corners[i + 1]! * 100)}/${Math.round(corners[i + 2]! * 100)}`;
  const facing = new Map<string, Vector3>();
  for (let i = 0; i < corners.length; i += 3) {
    const sum = facing.get(at(i)) ?? new Vector3();
    facing.set(at(i), sum.add(new Vector3(normals[i], normals[i + 1], normals[i + 2])));
  }
  for (const sum of facing.values()) sum.normalize().multiplyScalar(byMm);
  return Float32Array.from(corners, (mm, i) => {
    const out = facing.get(at(i - (i % 3)))!;
    return mm + out.getComponent(i % 3);
  });
}

/** The finished cake in ink and matt paint, turned as one likes; what is chosen in it is told. */
export class PictureScene extends TurnedScene {
  private cake = new Group();
  private readonly ink = { value: 1 };
  private framed = '';
  private hulls: Mesh[] = [];
  private turnedAt = 0;
  private isCoarse = false;
  private readonly paints = new Map<string, Material>();
  private resting: ReturnType<typeof setTimeout> | undefined;
  private readonly parts = new Map<Object3D, (triangle: number, instance: number) => string>();

  constructor(
    canvas: HTMLCanvasElement,
    private colours: PictureColours,
    private readonly chosen: (part: string) => void,
  ) {
    super(canvas, { keepsPicture: true });
    const sun = new DirectionalLight(0xffffff, 1.35);
    sun.position.set(-420, -520, 900);
    const side = new DirectionalLight(light.lamp, 0.35);
    side.position.set(600, -200, 200);
    this.scene.add(new AmbientLight(0xffffff, 0.75), new HemisphereLight(0xffffff, light.table, 1.15), sun, side, this.cake); // prettier-ignore
    this.controls.addEventListener('change', this.moved);
    canvas.addEventListener('pointerdown', this.press);
    canvas.addEventListener('pointerup', this.release);
  }

  recolour(colours: PictureColours): void {
    this.colours = colours;
  }

  /** Shows the cake anew; how it was turned stays, unless it is another cake. */
  show(shown: PictureShown): void {
    this.empty();
    const { picture, upTo, isOpen, apartMm } = shown;
    const isThere = ({ step }: { step: number }): boolean => upTo === null || step <= upTo;
    const coated = new Set(
      picture.bodies.flatMap(({ inside, tierId, kind, ...one }) =>
        !inside && tierId !== null && kind !== 'card' && kind !== 'post' && isThere(one)
          ? [tierId]
          : [],
      ),
    );
    const isSeen = (body: PictureBody): boolean =>
      isThere(body) && (!body.inside || isOpen || !coated.has(body.tierId ?? ''));
    const tiers = [null, ...picture.tiers.map(({ id }) => id)];
    tiers.forEach((tierId, i) => {
      const group = new Group();
      group.position.z = Math.max(0, i - 1) * apartMm;
      this.cake.add(group);
      const bodies = picture.bodies.filter((body) => body.tierId === tierId && isSeen(body));
      if (apartMm > 0) {
        // drawn half out of the tier that they stand in, under what they carry
        const dowels = new Group();
        dowels.position.z = group.position.z + apartMm * 0.55;
        this.cake.add(dowels);
        const own = picture.bodies.filter(
          (body) => body.tierId === tierId && body.kind === 'dowel',
        );
        this.addBodies(dowels, own.filter(isThere), false);
      }
      this.addBodies(
        group,
        bodies.filter(({ kind }) => !wet.has(kind)),
        false,
      );
      this.addBodies(
        group,
        bodies.filter(({ kind }) => wet.has(kind)),
        true,
      );
      if (tierId === null) return;
      const own = <T extends { tierId: string; step: number }>(all: readonly T[]): T[] =>
        all.filter((one) => one.tierId === tierId && isThere(one));
      this.addDrips(group, own(picture.drips));
      for (const one of own(picture.groups)) this.addPieces(group, one);
      for (const run of own(picture.runs)) this.addMesh(group, runMesh(run), run.look, run.part);
      for (const words of own(picture.words)) this.addWords(group, words);
      for (const carved of own(shown.carved)) this.addCarved(group, carved);
    });
    this.addShadow(picture);
    const { low, high } = picture.box;
    const lifted = apartMm * Math.max(0, picture.tiers.length - 1);
    this.room = new Box3(
      new Vector3(low.x, low.y, low.z),
      new Vector3(high.x, high.y, high.z + lifted),
    );
    this.controls.target.set(0, 0, (high.z + lifted) * 0.45);
    const framed = [low.x, high.x, high.z, lifted].map((mm) => Math.round(mm / 5)).join('/');
    if (this.framed === '') this.look('corner');
    else if (this.framed !== framed) this.measure();
    this.framed = framed;
    this.size();
  }

  protected override frame(w: number, h: number): number {
    const mmPerPx = super.frame(w, h);
    this.ink.value = (inkPx * mmPerPx) / this.camera.zoom;
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
    const copy = this.cake.clone(true);
    const drop: Object3D[] = [];
    copy.traverse((one) => {
      if (one.userData.isInk === true) drop.push(one);
    });
    for (const one of drop) one.removeFromParent();
    copy.rotateX(-Math.PI / 2);
    copy.scale.setScalar(0.001);
    return copy;
  }

  override end(): void {
    clearTimeout(this.resting);
    this.canvas.removeEventListener('pointerdown', this.press);
    this.canvas.removeEventListener('pointerup', this.release);
    this.empty();
    for (const paint of this.paints.values()) paint.dispose();
    super.end();
  }

  private addBodies(to: Group, bodies: readonly PictureBody[], isWet: boolean): void {
    const drawn = bodies
      .map((body, index): Drawn => {
        const side = new Color(this.colours.of(body.look));
        if (body.veil) side.lerp(new Color(this.colours.of(body.veil.look)), body.veil.cover);
        return { body, index, side, top: body.topLook ? new Color(this.colours.of(body.topLook)) : side };
      })
      // from the foot up: what lies on each other is joined
      .sort((a, b) => a.body.kind.localeCompare(b.body.kind) || a.body.slices[0]!.fromMm - b.body.slices[0]!.fromMm); // prettier-ignore
    const triangles = new Triangles();
    addBodies(triangles, drawn);
    if (triangles.isEmpty) return;
    const geometry = triangles.geometry();
    const mesh = new Mesh(geometry, this.paint(isWet));
    this.parts.set(mesh, (t) => bodies[triangles.bodyOf[t]!]!.part);
    to.add(mesh, this.inked(geometry));
    const lines = new LineSegments(triangles.lines(), this.keptPaint(
        `line ${this.colours.ink}`,
        () => new LineBasicMaterial({ color: this.colours.ink }),
      )); // prettier-ignore
    lines.userData.isInk = true;
    to.add(lines);
  }

  /** Kept from picture to picture: what is let go of has to be made ready by the browser anew. */
  private keptPaint(key: string, make: () => Material): Material {
    const known = this.paints.get(key) ?? make();
    this.paints.set(key, known);
    return known;
  }
  private paint(isWet: boolean): Material {
    const common = { vertexColors: true, polygonOffset: true, polygonOffsetFactor: 1, polygonOffsetUnits: 1 }; // prettier-ignore
    return this.keptPaint(isWet ? 'wet' : 'matt', () =>
      isWet ? new MeshPhongMaterial({ ...common, ...gloss }) : new MeshLambertMaterial(common),
    );
  }
  private plain(look: PictureBody['look'], isWet = false): Material {
    const color = this.colours.of(look);
    return this.keptPaint(`${color}${isWet ? ' wet' : ''}`, () =>
      isWet ? new MeshPhongMaterial({ color, ...gloss }) : new MeshLambertMaterial({ color }),
    );
  }
  private inkPaint(): Material {
    return this.keptPaint(`ink ${this.colours.ink}`, () => {
      const material = new MeshBasicMaterial({ color: this.colours.ink, side: BackSide });
      material.onBeforeCompile = (shader) => {
        shader.uniforms.ink = this.ink;
        shader.vertexShader = `uniform float ink;\n${shader.vertexShader}`.replace(
          '#include <begin_vertex>',
          `#include <begin_vertex>
        #ifdef USE_INSTANCING
          vec3 grown = vec3(length(instanceMatrix[0].xyz), length(instanceMatrix[1].xyz), length(instanceMatrix[2].xyz));
          transformed += normalize(normal) * ink / max(grown, vec3(0.001));
        #else
          transformed += normalize(normal) * ink;
        #endif`,
        );
      };
      return material;
    });
  }

  /** The same body a little larger, in ink, seen only where it stands out behind: a line round it. */
  private inked(geometry: BufferGeometry, copies: InstancedMesh | null = null): Mesh {
    const material = this.inkPaint();
    let mesh: Mesh;
    if (copies) {
      const many = new InstancedMesh(geometry, material, copies.count);
      many.instanceMatrix = copies.instanceMatrix;
      mesh = many;
    } else mesh = new Mesh(geometry, material);
    mesh.userData.isInk = true;
    this.hulls.push(mesh);
    return mesh;
  }

  private addMesh(
    to: Group,
    geometry: BufferGeometry,
    look: PictureBody['look'],
    part: string,
    isWet = false,
  ): void {
    // prettier-ignore
    const mesh = new Mesh(geometry, this.plain(look, isWet));
    this.parts.set(mesh, () => part);
    to.add(mesh, this.inked(geometry));
  }

  private addMany(
    to: Group,
    geometry: BufferGeometry,
    material: Material,
    places: readonly Matrix4[],
    partOf: (i: number) => string,
  ): void {
    if (places.length === 0) return;
    const mesh = new InstancedMesh(geometry, material, places.length);
    places.forEach((matrix, i) => mesh.setMatrixAt(i, matrix));
    this.parts.set(mesh, (_, i) => partOf(i));
    to.add(mesh, this.inked(geometry, mesh));
  }

  private addDrips(to: Group, drips: readonly PictureDrip[]): void {
    if (drips.length === 0) return;
    const first = drips[0]!;
    /** x along the side, y out of it, z up. */
    const turnedTo = (out: Point): Matrix4 =>
      new Matrix4().makeBasis(
        new Vector3(out.y, -out.x, 0),
        new Vector3(out.x, out.y, 0),
        new Vector3(0, 0, 1),
      );
    const at = (
      { at: from, out }: PictureDrip,
      down: number,
      [x, y, z]: readonly number[],
    ): Matrix4 =>
      turnedTo(out)
        .scale(new Vector3(x, y, z))
        .setPosition(from.x, from.y, from.z - down);
    const part = (i: number): string => drips[i]!.part;
    const shafts = drips.map((drip) => {
      const bead = Math.min(drip.lengthMm, drip.widthMm) / 2;
      return at(drip, 0, [drip.widthMm * 0.86, drip.thickMm, Math.max(0.5, drip.lengthMm - bead)]);
    });
    const ends = drips.map((drip) => {
      const high = Math.min(drip.lengthMm, drip.widthMm * 1.15);
      return at(drip, drip.lengthMm - high / 2, [drip.widthMm, drip.thickMm * 1.35, high]);
    });
    this.addMany(to, dripShaft(), this.plain(first.look, true), shafts, part);
    this.addMany(to, dripEnd(), this.plain(first.look, true), ends, part);
  }

  private addPieces(to: Group, group: PictureGroup): void {
    const { pieces, acrossMm, highMm, stickMm, look, part, form } = group;
    const matrices = pieces.map(({ at, up, along }) => {
      const z = new Vector3(up.x, up.y, up.z).normalize();
      const x = new Vector3(along.x, along.y, 0);
      x.addScaledVector(z, -x.dot(z)).normalize();
      const y = new Vector3().crossVectors(z, x);
      return new Matrix4()
        .makeBasis(x, y, z)
        .scale(new Vector3(acrossMm, acrossMm, Math.max(0.5, highMm)))
        .setPosition(at.x + z.x * stickMm, at.y + z.y * stickMm, at.z + z.z * stickMm);
    });
    this.addMany(
      to,
      pieceShape(form, pieces.length > manyFrom),
      this.plain(look),
      matrices,
      () => part,
    );
    if (stickMm === 0) return;
    const sticks = pieces.map(({ at, up }) =>
      new Matrix4().makeScale(3, 3, stickMm).setPosition(at.x, at.y, at.z - (1 - up.z) * stickMm),
    );
    this.addMany(
      to,
      pieceShape({ of: 'topping', form: 'stick' }, true),
      this.plain('wood'),
      sticks,
      () => part,
    );
  }

  private addWords(
    to: Group,
    { text, letterMm, look, at, on, part }: CakePicture['words'][number],
  ): void {
    const sheet = document.createElement('canvas');
    const pen = sheet.getContext('2d')!;
    const font = `italic 600 96px ${getComputedStyle(document.body).fontFamily}`;
    pen.font = font;
    sheet.width = Math.ceil(pen.measureText(text).width) + 40;
    sheet.height = 150;
    pen.font = font;
    pen.fillStyle = this.colours.of(look);
    pen.strokeStyle = this.colours.ink;
    pen.lineWidth = 3;
    pen.textBaseline = 'middle';
    pen.strokeText(text, 20, 75);
    pen.fillText(text, 20, 75);
    // letters are as high as two thirds of their line
    const mmPerPx = letterMm / 66;
    const mesh = new Mesh(
      new PlaneGeometry(sheet.width * mmPerPx, sheet.height * mmPerPx),
      new MeshBasicMaterial({ map: new CanvasTexture(sheet), transparent: true, side: DoubleSide }),
    );
    mesh.position.set(at.x, at.y, at.z);
    if (on === 'front') {
      mesh.rotateX(Math.PI / 2);
      mesh.position.y -= 1.5;
    } else mesh.position.z += 1.5;
    this.parts.set(mesh, () => part);
    to.add(mesh);
  }

  /** A carved tier, its faces moved out by its coat. */
  private addCarved(to: Group, { corners, normals, coatMm, looks, at, part }: CarvedMesh): void {
    const moved = grown(corners, normals, coatMm);
    const triangles = new Triangles();
    const colours = new Map(looks.map((look) => [look, new Color(this.colours.of(look))]));
    for (let i = 0; i < moved.length; i += 9)
      triangles.add(
        [...moved.subarray(i, i + 3)],
        [...moved.subarray(i + 3, i + 6)],
        [...moved.subarray(i + 6, i + 9)],
        colours.get(looks[i / 9]!)!,
        0,
      );
    const geometry = triangles.geometry();
    const mesh = new Mesh(geometry, this.paint(false));
    const ink = this.inked(geometry);
    for (const one of [mesh, ink]) {
      one.position.set(at.x, at.y, at.z);
      to.add(one);
    }
    this.parts.set(mesh, () => part);
  }

  /** A soft shadow under the board. */
  private addShadow({ box }: CakePicture): void {
    const { shadow: colour } = this.colours;
    const paint = this.keptPaint(`shadow ${colour}`, () => {
      const sheet = document.createElement('canvas');
      sheet.width = sheet.height = 256;
      const pen = sheet.getContext('2d')!;
      const soft = pen.createRadialGradient(128, 128, 88, 128, 128, 128);
      soft.addColorStop(0, colour);
      soft.addColorStop(1, `${colour.slice(0, 7)}00`);
      pen.fillStyle = soft;
      pen.fillRect(0, 0, 256, 256);
      return new MeshBasicMaterial({ map: new CanvasTexture(sheet), transparent: true, depthWrite: false }); // prettier-ignore
    });
    const [wide, deep] = [box.high.x - box.low.x, box.high.y - box.low.y];
    const shadow = new Mesh(new PlaneGeometry(wide * 1.28, deep * 1.28), paint);
    shadow.position.set((box.low.x + box.high.x) / 2 + wide * 0.04, (box.low.y + box.high.y) / 2, box.low.z - 1); // prettier-ignore
    shadow.userData.isInk = true;
    this.cake.add(shadow);
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
    for (const hull of this.hulls) hull.visible = !isCoarse;
    this.renderer.setPixelRatio(isCoarse ? coarsePixels : Math.min(2, devicePixelRatio));
  }

  private empty(): void {
    this.coarsen(false);
    this.hulls = [];
    this.parts.clear();
    const kept = new Set(this.paints.values());
    this.cake.traverse((one) => {
      const { geometry, material } = one as Mesh<
        BufferGeometry,
        Material & { map?: CanvasTexture }
      >;
      if (!geometry) return;
      geometry.dispose();
      if (one instanceof InstancedMesh) one.dispose();
      if (kept.has(material)) return;
      material.map?.dispose();
      material.dispose();
    });
    this.scene.remove(this.cake);
    this.cake = new Group();
    this.scene.add(this.cake);
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
    const [hit] = ray.intersectObjects([...this.parts.keys()], false);
    return hit ? this.parts.get(hit.object)!(hit.faceIndex ?? 0, hit.instanceId ?? 0) : null;
  }
}
