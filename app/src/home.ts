/* Where the program lies: at the root of its server, or under a path that the page names in its base. */

/** The folder of the program, with a stroke at its end: "https://kitchen/" or "https://kitchen/cakes/". */
export const home = (): URL => new URL('.', document.baseURI);

/** The address of something that lies beside the program, such as "api/start". */
export const atHome = (path: string): URL => new URL(path, home());
