import { newtonsPerKilogramForce, newtonsPerPoundForce } from "./units";

/** What a pull is shown in; it is kept in newtons whatever is shown. */
export const forceUnits = { N: "newtons, N", kg: "kilograms, kg", lb: "pounds, lb" } as const;
export type ForceUnit = keyof typeof forceUnits;
export const forceUnitIds = Object.keys(forceUnits) as [ForceUnit, ...ForceUnit[]];

const newtons: Readonly<Record<ForceUnit, number>> = { N: 1, kg: newtonsPerKilogramForce, lb: newtonsPerPoundForce };

/** The unit a measure is shown in. @param unit the unit it is kept in; null for one without. */
export const shownUnit = (unit: string | null, force: ForceUnit): string => (unit === "N" ? force : (unit ?? ""));

/** A measure as a number in the unit it is shown in. */
export const shownValue = (value: number, unit: string | null, force: ForceUnit): number => (unit === "N" ? value / newtons[force] : value);

/** A measure in figures alone, to a tenth; kilograms to a hundredth, which is about as much. */
export const sayFigures = (value: number, unit: string | null, force: ForceUnit): string =>
  String(Number(shownValue(value, unit, force).toFixed(unit === "N" && force === "kg" ? 2 : 1)));

/** A measure in words: figures and unit. @example sayMeasure(22.24, "N", "lb") // "5 lb" */
export const sayMeasure = (value: number, unit: string | null, force: ForceUnit): string =>
  `${sayFigures(value, unit, force)} ${shownUnit(unit, force)}`.trim();
