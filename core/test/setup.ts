import fc from 'fast-check';
import { freezeDocuments } from '../src/index.ts';

/* Plans are kept by the identity of what they are made from: a test that changes a document in place is told so. */
freezeDocuments();

/* The same builds each time, so that nothing fails by chance; `npm run -s unit-random` takes others. */
if (!process.env.RANDOM) fc.configureGlobal({ seed: 20_270_619, endOnFailure: true });
