import { tierOf, type Build, type CakePicture, type Pantry } from '@pyrgotect/core';
import { toneOfPart } from '../solid/part-looks.ts';
import { askSolids } from '../workers/solids.ts';
import type { CarvedMesh } from './carved-mesh.ts';

/**
 * The carved tiers of a picture as the solids give them, and the names of those that they did not give.
 *
 * @param bare tiers without their coat
 */
export async function carvedMeshes(
  build: Build,
  pantry: Pantry,
  picture: CakePicture | null,
  { isOpen, bare }: { isOpen: boolean; bare?: ReadonlySet<string> },
): Promise<{ meshes: CarvedMesh[]; missing: string[] }> {
  const meshes: CarvedMesh[] = [];
  const missing: string[] = [];
  for (const {
    tierId,
    part,
    question,
    at,
    coatMm,
    look,
    films,
    reliefs,
    step,
  } of picture?.carved ?? [])
    try {
      const view = await askSolids((solids) => solids.view(question, 'rough', isOpen ? 0 : null));
      const tier = tierOf(build, tierId);
      // where it is open or bare its own layers are seen, and no coat is grown over them
      const isCake = isOpen || (bare?.has(tierId) ?? false);
      for (const { corners, normals, partOf, parts } of view.pieces)
        meshes.push({
          tierId,
          part,
          corners,
          normals,
          looks: Array.from(partOf, (n) =>
            isCake ? toneOfPart(tier, pantry, parts[n]!) : (look ?? 'ivory'),
          ),
          at,
          coatMm: isCake ? 0 : coatMm,
          films: isCake ? [] : films,
          reliefs: isCake ? [] : reliefs,
          step,
        });
    } catch {
      missing.push(picture?.tiers.find(({ id }) => id === tierId)?.name ?? 'A tier');
    }
  return { meshes, missing };
}
