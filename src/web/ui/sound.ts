/** Short tones, if the device's cook wants them. */
const KEY = 'ygrana-sound';

/** Whether anybody has said yes or no on this device. */
export function soundChosen(): boolean {
  try {
    return localStorage.getItem(KEY) !== null;
  } catch {
    // A browser that keeps nothing would ask at every making.
    return true;
  }
}

export function soundOn(): boolean {
  try {
    return localStorage.getItem(KEY) === 'on';
  } catch {
    return false;
  }
}
export function setSound(on: boolean): void {
  try {
    localStorage.setItem(KEY, on ? 'on' : 'off');
  } catch {
    // Then it is as it was at the next visit.
  }
}

const TONES = { taken: [880], warning: [300, 300], time: [660, 880, 660] } as const;
let audio: AudioContext | null = null;

export function beep(what: keyof typeof TONES): void {
  if (!soundOn()) return;
  try {
    audio ??= new AudioContext();
    TONES[what].forEach((hertz, i) => {
      const from = audio!.currentTime + i * 0.2;
      const tone = audio!.createOscillator();
      const volume = audio!.createGain();
      tone.frequency.value = hertz;
      volume.gain.setValueAtTime(0.15, from);
      volume.gain.exponentialRampToValueAtTime(0.001, from + 0.18);
      tone.connect(volume).connect(audio!.destination);
      tone.start(from);
      tone.stop(from + 0.2);
    });
  } catch {
    // A device without sound stays silent.
  }
}
