const files = import.meta.glob<string>('../../../demo/*.json', {
  query: '?raw',
  import: 'default',
});

/** Texts of the demo build files, which are also in the folder `demo`. */
export const demoFiles = (): Promise<string[]> =>
  Promise.all(Object.values(files).map((load) => load()));
