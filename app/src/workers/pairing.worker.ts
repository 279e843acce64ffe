import { expose } from 'comlink';
import { PairingDesk } from '../pairing/pairing-desk.ts';
import { Database } from '../storage/database.ts';

/* Paired devices are kept in step away from the page: to seal and to put together takes its time. */
expose(new PairingDesk(new Database()));
