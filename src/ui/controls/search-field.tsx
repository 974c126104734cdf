"use client";
import { useCombobox } from "downshift";
import { useEffect, useRef, useState } from "react";
import { Field } from "./field";

export interface Choice {
  readonly id: string;
  readonly name: string;
  /** What tells it from others of its name. */
  readonly note?: string;
}

interface Props<C extends Choice> {
  readonly label: string;
  /** Answers to `?q=` with what matches, best first. */
  readonly from: string;
  readonly chosen: C | null;
  /** Told of a choice, and of text that chooses nothing: then `null` and what was typed. */
  readonly onChoose: (choice: C | null, typed: string) => void;
  /** Choices that are offered whatever is typed, after what was found. */
  readonly always?: readonly C[];
  /** Whether text that matches nothing stays, as a new entry; else leaving the field puts the choice back. */
  readonly free?: boolean;
  readonly error?: string | undefined;
  readonly hint?: string;
  readonly autoFocus?: boolean;
}

const sameName = (a: string, b: string): boolean =>
  a.trim().replace(/\s+/g, " ").toLowerCase() === b.trim().replace(/\s+/g, " ").toLowerCase();

/** The only one of exactly this name; none where several have it. */
function theOneCalled<C extends Choice>(items: readonly C[], text: string): C | undefined {
  const called = items.filter(({ name }) => sameName(name, text));
  return called.length === 1 ? called[0] : undefined;
}

/**
 * Chooses one of many by its first letters: works the same with ten and with five thousand. Enter takes the first that is found for what was
 * typed, also where it comes later than the key; the arrows another; what was only typed chooses nothing unless it is the whole name.
 */
export function SearchField<C extends Choice>({ label, from, chosen, onChoose, always = [], free = false, error, hint }: Props<C>) {
  const [found, setFound] = useState<readonly C[]>([]);
  const [failed, setFailed] = useState(false);
  const asked = useRef<AbortController | null>(null);
  /** The text that was asked for, until its answer is here. */
  const underWay = useRef<string | null>(null);
  /** Enter came before the answer to what was typed: its first is taken when it comes. */
  const enterFor = useRef<string | null>(null);
  /** The field was left before the answer came: whose whole name was typed is taken when it comes. */
  const leftFor = useRef<string | null>(null);
  /** What came last, also before it is drawn: a field left in that moment chooses by it. */
  const latest = useRef<readonly C[]>([]);
  const items = [...found, ...always];
  const ask = (text: string) => {
    asked.current?.abort();
    const control = new AbortController();
    asked.current = control;
    underWay.current = text;
    fetch(`${from}?q=${encodeURIComponent(text)}`, { signal: control.signal })
      .then(async (response) => {
        const answer = (await response.json()) as C[];
        underWay.current = null;
        latest.current = answer;
        setFound(answer);
        setFailed(!response.ok);
        const first = [...answer, ...always][0];
        if (enterFor.current === text && first) box.selectItem(first);
        enterFor.current = null;
        const whole = leftFor.current === text ? theOneCalled(answer, text) : undefined;
        leftFor.current = null;
        if (whole) box.selectItem(whole);
      })
      .catch((problem: unknown) => {
        if (problem instanceof DOMException) return;
        underWay.current = null;
        enterFor.current = null;
        setFailed(true);
      });
  };
  useEffect(() => () => asked.current?.abort(), []);
  const box = useCombobox<C>({
    items,
    itemToString: (item) => item?.name ?? "",
    itemToKey: (item) => item?.id,
    defaultHighlightedIndex: 0,
    selectedItem: chosen,
    onSelectedItemChange: ({ selectedItem }) => onChoose(selectedItem ?? null, ""),
    onIsOpenChange: ({ isOpen }) => {
      // A choice that stands is no search: opening shows what else there is.
      if (isOpen) ask(chosen ? "" : box.inputValue);
    },
    onInputValueChange: ({ inputValue, type }) => {
      if (type !== useCombobox.stateChangeTypes.InputChange) return;
      enterFor.current = null;
      ask(inputValue);
      if (free || !inputValue) onChoose(null, inputValue);
    },
    stateReducer: (state, { type, changes }) => {
      // What lies there was found for fewer letters: the first of it may be another name altogether.
      if (type === useCombobox.stateChangeTypes.InputKeyDownEnter && underWay.current !== null && state.highlightedIndex === 0) {
        enterFor.current = underWay.current;
        return state;
      }
      if (type === useCombobox.stateChangeTypes.FunctionSelectItem) return { ...changes, isOpen: false };
      if (type !== useCombobox.stateChangeTypes.InputBlur) return changes;
      const whole = theOneCalled([...latest.current, ...always], state.inputValue);
      if (!whole && underWay.current !== null) leftFor.current = underWay.current;
      const kept = whole ?? (free && state.inputValue !== (chosen?.name ?? "") ? null : chosen);
      return { ...changes, selectedItem: kept, inputValue: kept?.name ?? (free ? state.inputValue : "") };
    },
  });
  return (
    <Field
      label={label}
      error={error ?? (failed ? "The bench computer does not answer. Type again." : undefined)}
      {...(hint ? { hint } : {})}
    >
      {(field) => (
        <div className="relative">
          <input
            {...box.getInputProps({ ...field, "aria-label": label, autoComplete: "off", placeholder: "Type a few letters" })}
            id={field.id}
          />
          <ul
            {...box.getMenuProps({ "aria-label": label })}
            className={box.isOpen && items.length ? "absolute z-10 max-h-80 w-full overflow-auto border-2 border-ink bg-sheet" : ""}
          >
            {box.isOpen &&
              items.map((item, index) => (
                <li
                  key={item.id}
                  {...box.getItemProps({ item, index })}
                  className={`flex min-h-10 cursor-pointer items-center justify-between gap-3 px-2 ${box.highlightedIndex === index ? "bg-ink text-sheet" : ""}`}
                >
                  <span>{item.name}</span>
                  {item.note && <span className="text-note">{item.note}</span>}
                </li>
              ))}
          </ul>
        </div>
      )}
    </Field>
  );
}
