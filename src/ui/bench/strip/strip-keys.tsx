import type { BenchHead } from "@/ui/bench/bench-sheet";
import { PictureKey } from "@/ui/bench/picture-key";
import { Key, MainKey } from "@/ui/controls/keys";
import { NextLink } from "@/ui/controls/next-link";
import type { Strip } from "./use-strip";

/** The keys of the way apart: what comes off next on the main key, and what else can be said of it. */
export function StripKeys({ head, strip }: { head: BenchHead; strip: Strip }) {
  const { key, last } = strip;
  const takes = key.what === "take" && !head.closed ? key.act : null;
  return (
    <>
      <TheMainKey head={head} strip={strip} />
      {takes && (
        <Key shortcut="l" words="Leave it in" onPress={() => strip.leaveIn(takes.positionIds, true)}>
          Leave in
        </Key>
      )}
      {takes && (
        <Key shortcut="n" words="Stuck" pressed={strip.aside.stuck} onPress={() => strip.change({ stuck: !strip.aside.stuck })}>
          Stuck
        </Key>
      )}
      {last && !head.closed && <PictureKey head={head} place={{ positionId: last.positionId }} photoHash={null} words="Picture" edge />}
      <Key shortcut="u" words="Undo the last" disabled={!last || head.closed} onPress={strip.undo}>
        Undo
      </Key>
    </>
  );
}

function TheMainKey({ head, strip }: { head: BenchHead; strip: Strip }) {
  const { key, words, number, acts } = strip;
  if (key.what === "ask-first") return <NextLink href={`/bench/${head.tag}/quote`} words="Ask first: Quote" />;
  if (key.what === "take" && !head.closed)
    return (
      <MainKey words="Take off next" onPress={strip.take}>
        {words} into well {number}
      </MainKey>
    );
  if ((key.what === "choose-what-to-open" || key.what === "nothing-to-open") && !head.closed)
    return (
      <>
        {key.what === "nothing-to-open" ? (
          <NextLink href={`/bench/${head.tag}/build`} words="Nothing to open: on to Build" />
        ) : (
          <NextLink href={`/bench/${head.tag}/test`} words="On to Test" />
        )}
        <Key shortcut="f" words="Open everything" busy={acts.service.busy} onPress={() => strip.service("full")}>
          Full service
        </Key>
        <Key shortcut="q" words="Quick service" busy={acts.service.busy} onPress={() => strip.service("quick")}>
          Quick service
        </Key>
      </>
    );
  return <NextLink href={`/bench/${head.tag}/clean`} words="On to Clean" />;
}
