/* Reading and writing build files: fetched when a file is first opened, saved or laid on the shelf. */
export {
  isBackup,
  mergeRows,
  correctionsFor,
  packCake,
  planShape,
  readBuildFile,
  readCake,
  writeBuildFile,
} from '@pyrgotect/core';
