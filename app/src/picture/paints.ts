import type { PictureBody } from '@pyrgotect/core';
import {
  BackSide,
  CanvasTexture,
  LineBasicMaterial,
  MeshBasicMaterial,
  MeshLambertMaterial,
  MeshPhongMaterial,
  type Material,
  type Texture,
} from 'three';
import { light } from '../styles/palette.ts';
import { lettersOn, sheetOf } from './sheet.ts';

export interface PictureColours {
  ink: string;
  shadow: string;
  /** The colour of a look: a hatch's ground, or a colour of its own. */
  of: (look: PictureBody['look']) => string;
}
/** What is poured shines a little. */
const gloss = { shininess: 45, specular: light.gloss };

/**
 * What the picture is painted with: matt, a little wet, ink. Kept from picture to picture, since what is let go of
 * has to be made ready by the browser anew.
 */
export class Paints {
  private readonly made = new Map<string, Material>();
  /** How far the line of ink stands out, mm; set with the scale. */
  readonly ink = { value: 1 };

  constructor(public colours: PictureColours) {}

  has(paint: Material): boolean {
    return [...this.made.values()].includes(paint);
  }
  dispose(): void {
    for (const paint of this.made.values()) {
      (paint as { map?: Texture | null }).map?.dispose();
      paint.dispose();
    }
  }

  /** Of bodies, each corner in its own colour. */
  body(isWet: boolean): Material {
    const common = { vertexColors: true, polygonOffset: true, polygonOffsetFactor: 1, polygonOffsetUnits: 1 }; // prettier-ignore
    return this.kept(isWet ? 'wet' : 'matt', () =>
      isWet ? new MeshPhongMaterial({ ...common, ...gloss }) : new MeshLambertMaterial(common),
    );
  }
  plain(look: PictureBody['look'], isWet = false): Material {
    const color = this.colours.of(look);
    return this.kept(`${color}${isWet ? ' wet' : ''}`, () =>
      isWet ? new MeshPhongMaterial({ color, ...gloss }) : new MeshLambertMaterial({ color }),
    );
  }
  /** Letters in one colour, on a sheet of nothing. */
  letters(text: string, color: string): Material {
    return this.kept(`letters ${color} ${text}`, () => new MeshLambertMaterial({ color, map: lettersOn(text), transparent: true, depthWrite: false })); // prettier-ignore
  }
  line(): Material {
    const color = this.colours.ink;
    return this.kept(`line ${color}`, () => new LineBasicMaterial({ color }));
  }
  /** Of the larger body in ink that is seen only where it stands out behind: every corner moved out. */
  hull(): Material {
    const color = this.colours.ink;
    return this.kept(`hull ${color}`, () => {
      const material = new MeshBasicMaterial({ color, side: BackSide });
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
  /** A soft round, dark in its middle. */
  shadow(): Material {
    const { shadow: colour } = this.colours;
    return this.kept(`shadow ${colour}`, () => {
      const { sheet, pen } = sheetOf(256, 256);
      const soft = pen.createRadialGradient(128, 128, 88, 128, 128, 128);
      soft.addColorStop(0, colour);
      soft.addColorStop(1, `${colour.slice(0, 7)}00`);
      pen.fillStyle = soft;
      pen.fillRect(0, 0, 256, 256);
      return new MeshBasicMaterial({ map: new CanvasTexture(sheet), transparent: true, depthWrite: false }); // prettier-ignore
    });
  }

  private kept(key: string, make: () => Material): Material {
    const known = this.made.get(key) ?? make();
    this.made.set(key, known);
    return known;
  }
}
