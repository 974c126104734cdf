/** How a shop writes its dates: the words stay English, their order and the clock are the place's (BCP 47 names). */
export const locales = {
  "en-GB": "Fri 4 Dec 2026, 14:05",
  "en-IE": "Fri, 4 Dec 2026, 14:05",
  "en-US": "Fri, Dec 4, 2026, 2:05 PM",
  "en-CA": "Fri, Dec 4, 2026, 2:05 p.m.",
  "en-AU": "Fri, 4 Dec 2026, 2:05 pm",
} as const;
export type Locale = keyof typeof locales;
export const localeIds = Object.keys(locales) as [Locale, ...Locale[]];
