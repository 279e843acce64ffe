/* The schemas of the pantry: fetched when there is a row to check. */
export { kitchenSchema, rowSchemas } from '@pyrgotect/core';
