import { notFound, redirect } from "next/navigation";
import { readPage } from "@/app/server/reading";
import { familyWith } from "@/core/families/families";
import { findSheet } from "@/data/catalogue/sheets";
import { SheetCheck } from "@/ui/library/sheet/sheet-check";

export const metadata = { title: "A maker's sheet" };

export default async function SheetPage({ params }: { params: Promise<{ id: string }> }) {
  const db = await readPage("library");
  const sheet = findSheet(db, Number((await params).id) || 0);
  if (!sheet) notFound();
  if (sheet.modelId !== null) redirect(`/library/${sheet.modelId}`);
  const { anatomy } = familyWith(sheet.family, sheet.chosen);
  const assemblies = new Map(anatomy.assemblies.map(({ id, name }) => [id, name]));
  const { id, name, family, rows, doubts, rowVersion, pages } = sheet;
  return (
    <SheetCheck
      sheet={{
        ...{ id, name, family, rows, doubts, rowVersion, pages },
        seats: anatomy.positions.map((seat) => ({ id: seat.id, name: seat.name, assembly: assemblies.get(seat.assemblyId) ?? "" })),
      }}
    />
  );
}
