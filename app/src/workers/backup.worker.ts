import { expose } from 'comlink';
import { BackupDesk } from '../backup/backup-desk.ts';
import { Database } from '../storage/database.ts';

/* Backups are made and read away from the page, out of and into what the browser keeps. */
const kept = new Database();
expose(new BackupDesk(() => kept));
