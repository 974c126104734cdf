/** What is used of fft.js, which brings no types. */
declare module "fft.js" {
  export default class FFT {
    /** @param size a power of two. */
    constructor(size: number);
    createComplexArray(): number[];
    realTransform(out: number[], input: ArrayLike<number>): void;
  }
}
