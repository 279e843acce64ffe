/// <reference types="vite/client" />
// Only typescript-eslint needs this (it cannot read .vue); vue-tsc resolves the real file first.
declare module '*.vue' {
  import type { DefineComponent } from 'vue';
  const component: DefineComponent;
  export default component;
}

/** The version of the program, of its package. */
interface ImportMetaEnv {
  readonly VITE_VERSION: string;
  /** The language that the program was built in; missing for English. */
  readonly VITE_LANGUAGE?: string;
}
