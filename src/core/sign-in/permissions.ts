export const roles = ["owner", "bench", "counter"] as const;
export type Role = (typeof roles)[number];

/** What an act changes; each role may change some. */
export type Permission = "counter" | "bench" | "stores" | "shop";
const mayChange: Readonly<Record<Permission, readonly Role[]>> = {
  counter: ["owner", "counter", "bench"],
  bench: ["owner", "bench"],
  stores: ["owner", "bench", "counter"],
  shop: ["owner"],
};
export const mayDo = ({ role }: { readonly role: Role }, permission: Permission): boolean => mayChange[permission].includes(role);
