"use client";
import type { ReactNode } from "react";
import { type Locale, speak } from "@/core/vocabulary/locales";

/** Dates drawn in the browser are written as the shop writes them. */
export function Spoken({ locale, children }: { locale: Locale; children: ReactNode }) {
  speak(locale);
  return children;
}
