import type {
  CakePicture,
  PictureBody,
  PictureDrip,
  PictureGroup,
  PictureRelief,
  PictureWords,
} from '@pyrgotect/core';
import {
  AmbientLight,
  Box3,
  BufferGeometry,
  CanvasTexture,
  Color,
  DirectionalLight,
  Group,
  HemisphereLight,
  InstancedMesh,
  LineSegments,
  Mesh,
  PlaneGeometry,
  Vector3,
  type Material,
  type Matrix4,
  type Object3D,
} from 'three';
import { light } from '../styles/palette.ts';
import { addBodies, Triangles, type Drawn } from './body-mesh.ts';
import { carvedGeometry, type CarvedMesh } from './carved-mesh.ts';
import { film } from './film.ts';
import { Paints, type PictureColours } from './paints.ts';
import { fileSolids } from './file-solids.ts';
import { dripPlaces, piecePlaces } from './places.ts';
import { dripEnd, dripShaft, pieceShape } from './piece-shapes.ts';
import { reliefGeometry, reliefPaint } from './relief-mesh.ts';
import { runMesh } from './run-mesh.ts';
import { wordsMesh } from './words-mesh.ts';

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
/** How thick the line of ink round everything is, px. */
const inkPx = 1.1;
const isWet = ({ kind, films }: PictureBody): boolean =>
  kind === 'poured' || kind === 'flood' || (films ?? []).some(({ shiny }) => shiny);

/** The cake in ink and matt paint, with its lights: to be put in a scene, of a screen or of a worker. */
export class CakeSolid {
  /** The lights, and whatever is shown now. */
  readonly whole = new Group();
  private cake = new Group();
  private hulls: Mesh[] = [];
  private readonly paints: Paints;
  /** Carved tiers as they were drawn last: an edit elsewhere leaves them. */
  private carvedKnown = new Map<CarvedMesh, { coat: BufferGeometry; reliefs: BufferGeometry[] }>();
  private readonly parts = new Map<Object3D, (triangle: number, instance: number) => string>();

  constructor(colours: PictureColours) {
    this.paints = new Paints(colours);
    const sun = new DirectionalLight(0xffffff, 1.35);
    sun.position.set(-420, -520, 900);
    const side = new DirectionalLight(light.lamp, 0.35);
    side.position.set(600, -200, 200);
    this.whole.add(new AmbientLight(0xffffff, 0.75), new HemisphereLight(0xffffff, light.table, 1.15), sun, side, this.cake); // prettier-ignore
  }

  recolour(colours: PictureColours): void {
    this.paints.colours = colours;
  }
  /** The line of ink at such a scale. */
  ink(mmPerPx: number): void {
    this.paints.ink.value = inkPx * mmPerPx;
  }
  /** With its line of ink, or without. */
  showInk(isShown: boolean): void {
    for (const hull of this.hulls) hull.visible = isShown;
  }
  /** What can be pressed, and which part each is. */
  get pressable(): Object3D[] {
    return [...this.parts.keys()];
  }
  partOf(of: Object3D, triangle: number, instance: number): string {
    return this.parts.get(of)!(triangle, instance);
  }

  /** Makes the cake anew; the room that it takes up, with its tiers lifted apart. */
  show(shown: PictureShown): Box3 {
    this.empty();
    this.forgetCarved(shown.carved);
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
      const bodies = picture.bodies
        .filter((body) => body.tierId === tierId && isSeen(body))
        .map((body) => ({ ...body, films: (body.films ?? []).filter(isThere) }));
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
        bodies.filter((body) => !isWet(body)),
        false,
      );
      this.addBodies(group, bodies.filter(isWet), true);
      if (tierId === null) return;
      const own = <T extends { tierId: string; step: number }>(all: readonly T[]): T[] =>
        all.filter((one) => one.tierId === tierId && isThere(one));
      this.addDrips(group, own(picture.drips));
      for (const one of own(picture.groups)) this.addPieces(group, one);
      for (const run of own(picture.runs)) this.addMesh(group, runMesh(run), run.look, run.part);
      for (const words of own(picture.words)) this.addWords(group, words);
      for (const carved of own(shown.carved)) {
        const { coat, reliefs } = this.carvedOf(carved);
        this.addCarved(group, carved, coat);
        carved.reliefs.forEach((relief, i) => {
          if (isThere(relief)) this.addRelief(group, carved, relief, reliefs[i]!);
        });
      }
    });
    this.addShadow(picture);
    const { low, high } = picture.box;
    const lifted = apartMm * Math.max(0, picture.tiers.length - 1);
    return new Box3(new Vector3(low.x, low.y, low.z), new Vector3(high.x, high.y, high.z + lifted));
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

  /** The same for a file in millimetres, z up; words are painted and left out. */
  fileSolids(): ReturnType<typeof fileSolids> {
    return fileSolids(this.cake, (mesh) => this.parts.get(mesh)?.(0, 0) ?? 'cake');
  }

  end(): void {
    this.empty();
    this.forgetCarved([]);
    this.paints.dispose();
  }

  private addBodies(to: Group, bodies: readonly PictureBody[], shines: boolean): void {
    const drawn = bodies
      .map((body, index): Drawn => {
        const side = new Color(this.paints.colours.of(body.look));
        if (body.veil) side.lerp(new Color(this.paints.colours.of(body.veil.look)), body.veil.cover);
        const top = body.topLook ? new Color(this.paints.colours.of(body.topLook)) : side.clone();
        film(side, body.films, 'side', this.paints.colours);
        film(top, body.films, 'top', this.paints.colours);
        return { body, index, side, top };
      })
      // from the foot up: what lies on each other is joined
      .sort((a, b) => a.body.kind.localeCompare(b.body.kind) || a.body.slices[0]!.fromMm - b.body.slices[0]!.fromMm); // prettier-ignore
    const triangles = new Triangles();
    addBodies(triangles, drawn);
    if (triangles.isEmpty) return;
    const geometry = triangles.geometry();
    const mesh = new Mesh(geometry, this.paints.body(shines));
    this.parts.set(mesh, (t) => bodies[triangles.bodyOf[t]!]!.part);
    to.add(mesh, this.inked(geometry));
    const lines = new LineSegments(triangles.lines(), this.paints.line());
    lines.userData.isInk = true;
    to.add(lines);
  }

  /** The same body a little larger, in ink, seen only where it stands out behind: a line round it. */
  private inked(geometry: BufferGeometry, copies: InstancedMesh | null = null): Mesh {
    const material = this.paints.hull();
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
  ): void {
    const mesh = new Mesh(geometry, this.paints.plain(look));
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
    const [first] = drips;
    if (!first) return;
    const { shafts, ends } = dripPlaces(drips);
    const paint = this.paints.plain(first.look, true);
    const part = (i: number): string => drips[i]!.part;
    this.addMany(to, dripShaft(), paint, shafts, part);
    this.addMany(to, dripEnd(), paint, ends, part);
  }

  private addPieces(to: Group, group: PictureGroup): void {
    const { look, part, form } = group;
    const { pieces, sticks } = piecePlaces(group);
    const shape = pieceShape(form, pieces.length > manyFrom);
    this.addMany(to, shape, this.paints.plain(look), pieces, () => part);
    const stick = pieceShape({ of: 'topping', form: 'stick' }, true);
    this.addMany(to, stick, this.paints.plain('wood'), sticks, () => part);
  }

  private addWords(to: Group, words: PictureWords): void {
    const mesh = wordsMesh(words, this.paints.colours);
    this.parts.set(mesh, () => words.part);
    to.add(mesh);
  }

  private carvedOf(carved: CarvedMesh): { coat: BufferGeometry; reliefs: BufferGeometry[] } {
    const known = this.carvedKnown.get(carved) ?? {
      coat: carvedGeometry(carved, this.paints.colours),
      reliefs: carved.reliefs.map((relief) => reliefGeometry(carved, relief)),
    };
    this.carvedKnown.set(carved, known);
    return known;
  }
  /** A carved tier, its faces moved out by its coat. */
  private addCarved(to: Group, carved: CarvedMesh, geometry: BufferGeometry): void {
    const mesh = new Mesh(geometry, this.paints.body(false));
    const { at, part } = carved;
    for (const one of [mesh, this.inked(geometry)]) {
      one.position.set(at.x, at.y, at.z);
      to.add(one);
    }
    this.parts.set(mesh, () => part);
  }
  private addRelief(
    to: Group,
    carved: CarvedMesh,
    relief: PictureRelief,
    geometry: BufferGeometry,
  ): void {
    const mesh = new Mesh(geometry, reliefPaint(carved, relief, this.paints));
    // painted on, not a body of its own
    mesh.userData.isSheet = true;
    mesh.position.set(carved.at.x, carved.at.y, carved.at.z);
    this.parts.set(mesh, () => relief.part);
    to.add(mesh);
  }
  /** Lets go of carved tiers that are not shown any more. */
  private forgetCarved(shown: readonly CarvedMesh[]): void {
    for (const [mesh, { coat, reliefs }] of this.carvedKnown)
      if (!shown.includes(mesh)) {
        for (const geometry of [coat, ...reliefs]) geometry.dispose();
        this.carvedKnown.delete(mesh);
      }
  }

  /** A soft shadow under the board. */
  private addShadow({ box: { low, high } }: CakePicture): void {
    const [wide, deep] = [high.x - low.x, high.y - low.y];
    const shadow = new Mesh(new PlaneGeometry(wide * 1.28, deep * 1.28), this.paints.shadow());
    shadow.position.set((low.x + high.x) / 2 + wide * 0.04, (low.y + high.y) / 2, low.z - 1);
    shadow.userData.isInk = true;
    this.cake.add(shadow);
  }

  private empty(): void {
    this.hulls = [];
    this.parts.clear();
    const carved = new Set(
      [...this.carvedKnown.values()].flatMap(({ coat, reliefs }) => [coat, ...reliefs]),
    );
    this.cake.traverse((one) => {
      const { geometry, material } = one as Mesh<
        BufferGeometry,
        Material & { map?: CanvasTexture }
      >;
      if (!geometry) return;
      if (!carved.has(geometry)) geometry.dispose();
      if (one instanceof InstancedMesh) one.dispose();
      if (this.paints.has(material)) return;
      material.map?.dispose();
      material.dispose();
    });
    this.whole.remove(this.cake);
    this.cake = new Group();
    this.whole.add(this.cake);
  }
}
