/** Two soft notes, made on the spot: nothing is loaded. A browser that plays nothing is left alone. */
export function playSignal() {
  try {
    const context = new AudioContext()
    for (const [i, hertz] of [523.25, 659.25].entries()) {
      const [tone, loudness] = [context.createOscillator(), context.createGain()]
      const at = context.currentTime + i * 0.45
      tone.frequency.value = hertz
      loudness.gain.setValueAtTime(0, at)
      loudness.gain.linearRampToValueAtTime(0.15, at + 0.05)
      loudness.gain.exponentialRampToValueAtTime(0.001, at + 1.2)
      tone.connect(loudness).connect(context.destination)
      tone.start(at)
      tone.stop(at + 1.3)
    }
    setTimeout(() => void context.close(), 2_500)
  } catch {
    // No sound is no fault: the screen says it as well.
  }
}
