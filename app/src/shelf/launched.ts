/** What the browser's types do not name yet: files that the installed program was opened with. */
interface Launch {
  files: readonly { getFile(): Promise<File> }[];
}
declare global {
  interface Window {
    launchQueue?: { setConsumer(take: (launch: Launch) => void): void };
  }
}

/** Takes the files that the installed program is opened with, now and while it runs. */
export function takeLaunched(take: (files: File[]) => void): void {
  window.launchQueue?.setConsumer((launch) => {
    if (launch.files.length === 0) return;
    void Promise.all(launch.files.map((file) => file.getFile())).then(take);
  });
}
