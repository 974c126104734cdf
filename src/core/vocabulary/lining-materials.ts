/**
 * What a friction lining can be said to be of, as a person chooses it. Anything else is taken for the worst it may be: nobody works on a lining
 * before its material is known. Source: common practice.
 */
export const liningMaterials = {
  "asbestos or not known": { proven: false },
  "old dry lining": { proven: false },
  "new lining, proven": { proven: true },
  carbon: { proven: true },
  leather: { proven: true },
  felt: { proven: true },
  cork: { proven: true },
  fibre: { proven: true },
  PTFE: { proven: true },
  rubber: { proven: true },
} as const;
export type LiningMaterial = keyof typeof liningMaterials;

export const liningMaterialIds = Object.keys(liningMaterials) as [LiningMaterial, ...LiningMaterial[]];
