/** Three soft strokes of a small bell: a fundamental and two partials that die away (own tone). */
const partials = [
  { hertz: 784, gain: 0.4, dies: 0.9 },
  { hertz: 1568, gain: 0.16, dies: 0.5 },
  { hertz: 2217, gain: 0.08, dies: 0.3 },
] as const;
const strokes = [0, 0.35, 0.7] as const;

let context: AudioContext | null = null;

/** Browsers let nothing sound before the page was touched: called at every touch, works at the first. */
export function allowTone(): void {
  if (typeof AudioContext === 'undefined') return;
  context ??= new AudioContext();
  if (context.state === 'suspended') void context.resume();
}

/** Sounds the bell once; false where nothing may sound yet. */
export function ring(): boolean {
  if (!context || context.state !== 'running') return false;
  const { currentTime, destination } = context;
  for (const at of strokes)
    for (const { hertz, gain, dies } of partials) {
      const tone = context.createOscillator();
      const volume = context.createGain();
      tone.frequency.value = hertz;
      volume.gain.setValueAtTime(gain, currentTime + at);
      volume.gain.exponentialRampToValueAtTime(0.0005, currentTime + at + dies);
      tone.connect(volume).connect(destination);
      tone.start(currentTime + at);
      tone.stop(currentTime + at + dies);
    }
  return true;
}
