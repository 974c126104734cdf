import type { Act, ToldOf } from "./act";

/** A press as a page holds it: made there, by the act's own type of input, and not answered yet perhaps. */
export interface Pressed {
  readonly id: string;
  /** The act's name. */
  readonly act: string;
  readonly input: unknown;
}

/** How one act changes the state a page shows. */
export interface Shown<State> {
  readonly name: string;
  readonly change: (state: State, press: Pressed) => State;
}

/**
 * How an act changes a state: as the server will, at once. A press that the state has already changes nothing.
 * @param change is given what the act is told by the press, and the press's id.
 */
export const shows = <State, A extends Act>(act: A, change: (state: State, told: ToldOf<A>, id: string) => State): Shown<State> => ({
  name: act.name,
  change: (state, press) => {
    const read = act.input.safeParse(press.input);
    // What the bench will refuse is shown as it was pressed until the bench has said so.
    return change(state, (read.success ? read.data : press.input) as ToldOf<A>, press.id);
  },
});

/** A state as rows of presses leave it: each act by its own rule, and an act of another station not at all. */
export function boardOf<State>(shown: readonly Shown<State>[]): (state: State, press: Pressed) => State {
  const byName = new Map(shown.map((one) => [one.name, one]));
  return (state, press) => byName.get(press.act)?.change(state, press) ?? state;
}
