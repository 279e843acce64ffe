/* Reading and writing build files: fetched when a file is first opened, saved or laid on the shelf. */
export { mergeRows, movesFor, planShape, readBuildFile, writeBuildFile } from '@pyrgotect/core';
