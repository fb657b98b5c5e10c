let audio: AudioContext | undefined;

/** So many short tones. Browsers allow sound only after the page was touched once; before that it stays silent. */
export function beep(times: number): void {
  if (!navigator.userActivation?.hasBeenActive) return;
  try {
    audio ??= new AudioContext();
    if (audio.state === 'suspended') void audio.resume();
    for (let i = 0; i < times; i++) {
      const tone = audio.createOscillator();
      const gain = audio.createGain();
      const at = audio.currentTime + i * 0.35;
      tone.frequency.value = 880;
      gain.gain.setValueAtTime(0.2, at);
      gain.gain.exponentialRampToValueAtTime(0.001, at + 0.25);
      tone.connect(gain).connect(audio.destination);
      tone.start(at);
      tone.stop(at + 0.26);
    }
  } catch {
    // No sound on this device: the strip shows it all the same.
  }
}
