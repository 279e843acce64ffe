/* Reading and writing build files: fetched when a file is first opened, saved or laid on the shelf. */
export {
  mergeRows,
  correctionsFor,
  isArchive,
  packCake,
  planShape,
  readBuildFile,
  unpackCake,
  writeBuildFile,
} from '@pyrgotect/core';
