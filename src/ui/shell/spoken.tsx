"use client";
import type { ReactNode } from "react";
import type { Locale } from "@/core/vocabulary/locales";
import { speak } from "@/ui/dates";

/** Dates drawn in the browser are written as the shop writes them. */
export function Spoken({ locale, children }: { locale: Locale; children: ReactNode }) {
  speak(locale);
  return children;
}
