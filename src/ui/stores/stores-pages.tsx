import { RoomPages } from "@/ui/sheets/room-pages";

const pages = [
  ["/stores", "Needs and orders"],
  ["/stores/bins", "Bins"],
  ["/stores/walk", "Count"],
  ["/stores/pick", "Pick list"],
  ["/stores/shelf", "Shelf"],
  ["/stores/suppliers", "Suppliers"],
] as const;

/** The pages of Stores. */
export const StoresPages = ({ here }: { here: (typeof pages)[number][1] }) => <RoomPages label="Of Stores" here={here} pages={pages} />;
