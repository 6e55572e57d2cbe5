let context: AudioContext | null = null;

/** A soft tick made in the browser; silent where it has no sound. Never needed: the marks light all the same. */
export function tick(): void {
  try {
    context ??= new AudioContext();
    const at = context.currentTime;
    const tone = context.createOscillator();
    const volume = context.createGain();
    tone.frequency.value = 660;
    volume.gain.setValueAtTime(0.12, at);
    volume.gain.exponentialRampToValueAtTime(0.001, at + 0.06);
    tone.connect(volume).connect(context.destination);
    tone.start(at);
    tone.stop(at + 0.07);
  } catch {
    // No sound on this device.
  }
}
