/* How a cake begins, in a file of its own: an empty shelf goes without. */
export { newBench, newBuild, newOrder } from '@pyrgotect/core';
