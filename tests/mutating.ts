/** Long simulations rest while mistakes are planted: thousands of runs would wait for them, and the pointed tests have to find the mistake. */
export const mutating = process.env.ZORBEK_MUTATING === "1";
