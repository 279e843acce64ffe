import { atHome } from '../home.ts';

let asked: Promise<void> | null = null;

/** The library writes its rules into a sheet with this id, which the content policy lets it: loaded once. */
export function chartSheet(): Promise<void> {
  asked ??= new Promise((done) => {
    const link = document.createElement('link');
    link.id = 'plotly.js-style-global';
    link.rel = 'stylesheet';
    link.href = atHome('chart.css').href;
    link.onload = link.onerror = () => done();
    document.head.append(link);
  });
  return asked;
}
