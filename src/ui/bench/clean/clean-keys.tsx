import { Key, MainKey } from "@/ui/controls/keys";
import { NextLink } from "@/ui/controls/next-link";
import type { CleanProps } from "./clean-props";
import type { Clean } from "./use-clean";

/** The keys of the cleaning: what the plan says comes next, and what else can be said of it. */
export function CleanKeys({ props, clean }: { props: CleanProps; clean: Clean }) {
  const { head } = props;
  const { now, acts, chosen } = clean;
  const { group, soak } = now;
  return (
    <>
      <TheMainKey props={props} clean={clean} />
      {now.waiting.length > 0 && now.key.what !== "all-by-hand" && !head.closed && (
        <Key shortcut="h" words="All cleaned by hand" busy={acts.allByHand.busy} onPress={clean.cleanAllByHand}>
          All by hand
        </Key>
      )}
      {now.anyClean && !group?.soaking.length && (
        <Key shortcut="u" words="Undo the cleaning" busy={acts.again.busy} disabled={head.closed} onPress={() => clean.cleanAgain(chosen)}>
          Undo
        </Key>
      )}
      {soak && group?.soaking.length ? (
        <Key
          shortcut="u"
          words="Take out without counting"
          busy={acts.cancel.busy}
          disabled={head.closed}
          onPress={() => clean.outUncounted(soak.id)}
        >
          Undo the bath
        </Key>
      ) : null}
    </>
  );
}

/** What the press says was done: an old lining is left alone, not cleaned. */
const byHandWords = (waiting: number, alone: number): string =>
  alone === waiting
    ? `${alone} left alone`
    : alone > 0
      ? `${waiting - alone} cleaned by hand, ${alone} left alone`
      : waiting === 1
        ? "Cleaned by hand"
        : `All ${waiting} cleaned by hand`;

function TheMainKey({ props, clean }: { props: CleanProps; clean: Clean }) {
  const { acts, lost, leftMinutes } = clean;
  const { key } = clean.now;
  if (props.head.closed || key.what === "go-on")
    return <NextLink href={clean.next} words={props.next === "parts" ? "On to Parts" : "On to Build"} />;
  switch (key.what) {
    case "all-by-hand":
      return (
        <MainKey busy={acts.allByHand.busy || acts.allByHand.stale} words="All cleaned by hand" onPress={clean.cleanAllByHand}>
          {byHandWords(key.waiting, key.alone)}
        </MainKey>
      );
    case "count-back":
      return (
        <MainKey busy={acts.count.busy || acts.count.stale} words="Count parts back" onPress={() => clean.countBack(key.soak.id, lost)}>
          {lost.length
            ? `${key.pieces - lost.length} back, ${lost.length} missing`
            : `All ${key.pieces} back${leftMinutes > 0 ? `, ${leftMinutes} min early` : ""}`}
        </MainKey>
      );
    case "into-bath":
      return (
        <MainKey busy={acts.begin.busy || acts.begin.stale} words="Into the bath" onPress={() => clean.intoBath(key.method)}>
          {key.pieces} into the bath, {clean.minutes} min
        </MainKey>
      );
    case "by-hand":
      return (
        <MainKey busy={acts.byHand.busy || acts.byHand.stale} words="Cleaned by hand" onPress={() => clean.cleanByHand(key.method)}>
          {key.method === "leave-dry" ? `${key.pieces} left alone` : `${key.pieces} done by hand`}
        </MainKey>
      );
    case "again":
      return (
        <Key className="key-main" busy={acts.again.busy} onPress={() => clean.cleanAgain(key.method)}>
          Clean these again
        </Key>
      );
  }
}
