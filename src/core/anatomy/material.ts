/**
 * What a material means for work: the one place where the words somebody typed for it are read. `tender`: plastics, light alloys and thin finishes,
 * which solvent or polish spoils.
 */
const readings = {
  supple: /\b(leather|hide|felt)\b/i,
  soft: /\b(leather|hide|felt|cork|wood)\b/i,
  steel: /\bsteel\b/i,
  plated: /chrom|paint/i,
  carbon: /\bcarbon\b/i,
  ceramic: /\bceramic\b/i,
  tender: /^(plastic|hard plastic|nylon|phenolic|carbon|anodised aluminium|aluminium|chromed brass|painted)/i,
} as const satisfies Readonly<Record<string, RegExp>>;
export type MaterialTrait = keyof typeof readings;

export const isMadeOf = ({ material }: { readonly material: string }, trait: MaterialTrait): boolean => readings[trait].test(material);
