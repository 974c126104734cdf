"use client";
import { useState } from "react";
import type { PartType } from "@/core/anatomy/types";
import { reachedFor } from "@/core/lubrication/given";
import { judgeProduct } from "@/core/lubrication/judge-product";
import { classOfProduct, reelProducts } from "@/core/lubrication/products";
import { Field } from "@/ui/controls/field";

interface Props {
  readonly name: string;
  readonly type: PartType;
  /** What the rule gives here; "nothing" where it stays dry by the rule. */
  readonly ruled: string;
  readonly instead: string | null;
  readonly onChoose: (product: string | null, onPurpose: boolean) => void;
}

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
const offered = reelProducts.filter((product) => ["oil", "grease"].includes(classOfProduct(product)));

/** Another product than the rule's, by one press; one that is doubted here says why and is kept by a second. */
export function ProductChoice({ name, type, ruled, instead, onChoose }: Props) {
  const [doubted, setDoubted] = useState<{ readonly product: string; readonly why: string } | null>(null);
  const [words, setWords] = useState("");
  const choose = (product: string) => {
    const why = judgeProduct(type, product);
    if (why) return setDoubted({ product, why });
    setDoubted(null);
    setWords("");
    onChoose(product, false);
  };
  const all = [...(ruled === "nothing" ? [] : ["nothing"]), ...offered, ...reachedFor].filter((product) => product !== ruled);
  return (
    <details>
      <summary className="act-link min-h-10">{instead === null ? "Used something else" : "Change what was used"}</summary>
      <fieldset className="flex flex-wrap gap-2">
        <legend className="sr-only">What was used {name}</legend>
        {instead !== null && (
          <button type="button" className="key key-small" onClick={() => onChoose(null, false)}>
            As recommended: {ruled === "nothing" ? "dry" : ruled}
          </button>
        )}
        {all.map((product) => (
          <button key={product} type="button" className="key key-small" aria-pressed={instead === product} onClick={() => choose(product)}>
            {product === "nothing" ? "Left dry" : capital(product)}
          </button>
        ))}
      </fieldset>
      <div className="mt-1 flex items-end gap-2">
        <Field label="Other (name it)" className="flex-1">
          {(field) => (
            <input {...field} value={words} maxLength={60} onChange={(event) => setWords(event.target.value)} autoComplete="off" />
          )}
        </Field>
        <button type="button" className="key key-small" disabled={!words.trim()} onClick={() => choose(words.trim())}>
          Used this
        </button>
      </div>
      {doubted && (
        <p className="mt-1 border-l-4 border-ink pl-2">
          <strong>{doubted.why}</strong>{" "}
          <button
            type="button"
            className="act-link min-h-10"
            onClick={() => {
              onChoose(doubted.product, true);
              setDoubted(null);
              setWords("");
            }}
          >
            {capital(doubted.product)} was used anyway
          </button>
        </p>
      )}
    </details>
  );
}
