import { freezeDocuments } from '../src/index.ts';

/* Plans are kept by the identity of what they are made from: a test that changes a document in place is told so. */
freezeDocuments();
