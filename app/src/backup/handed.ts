import { shallowRef } from 'vue';

/** A backup that was opened on the shelf: it is read where backups are. */
export const handed = shallowRef<File | null>(null);
