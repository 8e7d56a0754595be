/** A short click, made here; nothing is played from a file. The first of a count is higher. */
export function click(audio: AudioContext, at: number, high: boolean): void {
    const tone = audio.createOscillator();
    const gain = audio.createGain();
    tone.frequency.value = high ? 1320 : 880;
    gain.gain.setValueAtTime(0.4, at);
    gain.gain.exponentialRampToValueAtTime(0.001, at + 0.09);
    tone.connect(gain).connect(audio.destination);
    tone.start(at);
    tone.stop(at + 0.1);
}
