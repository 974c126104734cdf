// Runs beside the page, in the browser's sound thread: gives on what the microphone hears, block by block.
class SoundKeeper extends AudioWorkletProcessor {
  process([[heard] = []]) {
    if (heard) this.port.postMessage(heard.slice());
    return true;
  }
}
registerProcessor("sound-keeper", SoundKeeper);
