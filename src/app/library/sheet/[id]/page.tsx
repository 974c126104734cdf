import { notFound, redirect } from "next/navigation";
import { readPage } from "@/app/server/reading";
import { familyWith } from "@/core/families/families";
import { againstModel } from "@/core/sheets/edition-of-sheet";
import { listModelsOfFamily } from "@/data/catalogue/model-list";
import { getCurrentModelVersion } from "@/data/catalogue/models";
import { findSheet, ownHeaders, pricesAgainst } from "@/data/catalogue/sheets";
import { SheetCheck } from "@/ui/library/sheet/sheet-check";

export const metadata = { title: "A maker's sheet" };

interface Asked {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<{ model?: string; take?: string }>;
}

export default async function SheetPage({ params, searchParams }: Asked) {
  const db = await readPage("library");
  const sheet = findSheet(db, Number((await params).id) || 0);
  const { model: asked, take } = await searchParams;
  if (!sheet) notFound();
  if (sheet.modelId !== null) redirect(`/library/${sheet.modelId}`);
  const { anatomy } = familyWith(sheet.family, sheet.chosen);
  const assemblies = new Map(anatomy.assemblies.map(({ id, name }) => [id, name]));
  const { id, name, family, rows, doubts, rowVersion, pages } = sheet;
  const models = listModelsOfFamily(db, family);
  const chosen = models.find((model) => model.id === asked);
  const version = chosen && getCurrentModelVersion(db, chosen.id);
  return (
    <SheetCheck
      sheet={{
        ...{ id, name, family, rows, doubts, rowVersion, pages, models },
        headers: ownHeaders(db),
        prices: take === "prices" ? pricesAgainst(db, rows) : null,
        against: version
          ? {
              ...againstModel(version.anatomy, version.partTypes, rows),
              modelId: version.model.id,
              version: version.number,
              hasEditions: version.anatomy.editions.length > 0,
            }
          : null,
        seats: anatomy.positions.map((seat) => ({ id: seat.id, name: seat.name, assembly: assemblies.get(seat.assemblyId) ?? "" })),
      }}
    />
  );
}
