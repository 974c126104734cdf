"use client";
import { select } from "d3-selection";
import { type ZoomTransform, zoom, zoomIdentity } from "d3-zoom";
import { type RefObject, useCallback, useEffect, useRef, useState } from "react";

interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

export interface PanZoom {
  readonly ref: RefObject<SVGSVGElement | null>;
  /** For the group that is moved, in the drawing's own units. */
  readonly transform: string;
  readonly scale: number;
  readonly zoomBy: (factor: number) => void;
  readonly panBy: (x: number, y: number) => void;
  readonly reset: () => void;
}

/**
 * Pan and zoom of a drawing within its own box: pinch, control and wheel, drag once it is larger than its window; or by keys. The plain
 * wheel and one finger go on scrolling the page.
 */
export function usePanZoom(box: Box, resetKey: string): PanZoom {
  const ref = useRef<SVGSVGElement>(null);
  const [transform, setTransform] = useState<ZoomTransform>(zoomIdentity);
  const behaviour = useRef(zoom<SVGSVGElement, unknown>());
  const { x, y, width, height } = box;

  useEffect(() => {
    const svg = ref.current;
    if (!svg) return;
    const corners: [[number, number], [number, number]] = [
      [x, y],
      [x + width, y + height],
    ];
    behaviour.current
      .extent(corners)
      .translateExtent(corners)
      .scaleExtent([1, 12])
      .filter((event: MouseEvent | WheelEvent | TouchEvent) => {
        const zoomed = (svg as SVGSVGElement & { __zoom?: ZoomTransform }).__zoom?.k ?? 1;
        if (event.type === "wheel") return event.ctrlKey || event.metaKey;
        if ("touches" in event) return event.touches.length > 1 || zoomed > 1;
        return event.type !== "dblclick" && zoomed > 1 && !(event as MouseEvent).button;
      })
      .on("zoom", ({ transform: moved }: { transform: ZoomTransform }) => setTransform(moved));
    const selection = select(svg);
    selection.call(behaviour.current);
    return () => {
      selection.on(".zoom", null);
    };
  }, [x, y, width, height]);

  const reset = useCallback(() => {
    if (ref.current) select(ref.current).call(behaviour.current.transform, zoomIdentity);
  }, []);
  // Another plate begins whole.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key is what makes it run
  useEffect(reset, [resetKey, reset]);

  return {
    ref,
    transform: transform.toString(),
    scale: transform.k,
    reset,
    zoomBy: useCallback((factor) => ref.current && select(ref.current).call(behaviour.current.scaleBy, factor), []),
    panBy: useCallback((dx, dy) => ref.current && select(ref.current).call(behaviour.current.translateBy, dx, dy), []),
  };
}
