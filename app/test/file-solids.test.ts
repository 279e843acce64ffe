import { writeThreeMf } from '@pyrgotect/core';
import {
  Box3,
  BoxGeometry,
  Group,
  InstancedMesh,
  Matrix4,
  Mesh,
  MeshLambertMaterial,
  PlaneGeometry,
  Vector3,
} from 'three';
import { ThreeMFLoader } from 'three/addons/loaders/3MFLoader.js';
import { expect, it } from 'vitest';
import { fileSolids } from '../src/picture/file-solids.ts';

it('what is drawn is written as solids that another program reads at their size and place', () => {
  const cake = new Group();
  const tier = new Mesh(new BoxGeometry(200, 200, 100), new MeshLambertMaterial({ color: '#c08040' })); // prettier-ignore
  tier.position.z = 50;
  const lifted = new Group();
  lifted.position.z = 100;
  const berries = new InstancedMesh(new BoxGeometry(10, 10, 10), new MeshLambertMaterial({ color: '#aa2233' }), 3); // prettier-ignore
  [-60, 0, 60].forEach((x, i) => berries.setMatrixAt(i, new Matrix4().makeTranslation(x, 0, 5)));
  lifted.add(berries);
  const ink = new Mesh(new BoxGeometry(900, 900, 900));
  ink.userData.isInk = true;
  const words = new Mesh(new PlaneGeometry(500, 500));
  words.userData.isSheet = true;
  cake.add(tier, lifted, ink, words);
  const { solids, liftMm } = fileSolids(cake, (one) => (one === tier ? 'tier' : 'berries'));
  expect(solids.map(({ name, places, colours }) => [name, places.length, ...colours])).toEqual([
    ['tier', 1, '#c08040'],
    ['berries', 3, '#aa2233'],
  ]);
  const file = writeThreeMf('Cake', solids, liftMm);
  const read = new ThreeMFLoader().parse(file.buffer.slice(0) as ArrayBuffer);
  const { min, max } = new Box3().setFromObject(read);
  expect(min.toArray().map(Math.round)).toEqual([0, 0, 0]);
  expect(max.toArray().map(Math.round)).toEqual([200, 200, 110]);
  let triangles = 0;
  read.traverse((one) => {
    if (one instanceof Mesh) triangles += (one as Mesh).geometry.getAttribute('position').count / 3;
  });
  expect(triangles).toBe(4 * 12);
  expect(new Vector3(...liftMm)).toEqual(new Vector3(100, 100, -0));
});
