/** The ink and paper a canvas is drawn with: those of the page, light or dim. */
export function inkAndPaper(): { readonly ink: string; readonly paper: string } {
  const style = getComputedStyle(document.documentElement);
  return { ink: style.getPropertyValue("--color-ink").trim(), paper: style.getPropertyValue("--color-sheet").trim() };
}
