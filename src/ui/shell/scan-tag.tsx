"use client";
import jsQR from "jsqr";
import { useRouter } from "next/navigation";
import { Dialog } from "radix-ui";
import { useEffect, useRef, useState } from "react";
import { partOfBinLabel } from "@/core/ordering/bin-label";
import { parseTag } from "@/core/tags/tag";

/** A frame is looked at this often; one takes a few hundredths of a second. */
const lookMs = 150;
/** Frames are looked at in this width: a tag's code is read from a hand's breadth. */
const lookWidthPx = 640;

/** Reads a claim tag's code with the camera, and goes to its reel. */
export function ScanTag() {
  const [open, setOpen] = useState(false);
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="min-h-10 px-2">Scan</Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-10 bg-bench/80" />
        <Dialog.Content className="sheet fixed top-16 left-1/2 z-20 w-[min(520px,94vw)] -translate-x-1/2 p-4" aria-describedby={undefined}>
          <Dialog.Title>Scan a tag</Dialog.Title>
          {open && <Camera onTag={() => setOpen(false)} />}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Camera({ onTag }: { onTag: () => void }) {
  const router = useRouter();
  const video = useRef<HTMLVideoElement>(null);
  const [message, setMessage] = useState("Hold the tag's code in the picture.");
  useEffect(() => {
    let stream: MediaStream | null = null;
    let timer: ReturnType<typeof setInterval> | undefined;
    let over = false;
    const canvas = document.createElement("canvas");
    const look = () => {
      const from = video.current;
      if (!from?.videoWidth) return;
      canvas.width = lookWidthPx;
      canvas.height = Math.round((lookWidthPx * from.videoHeight) / from.videoWidth);
      const context = canvas.getContext("2d", { willReadFrequently: true });
      if (!context) return;
      context.drawImage(from, 0, 0, canvas.width, canvas.height);
      const { data, width, height } = context.getImageData(0, 0, canvas.width, canvas.height);
      const code = jsQR(data, width, height, { inversionAttempts: "dontInvert" });
      if (!code) return;
      const bin = partOfBinLabel(code.data);
      if (bin !== null) {
        clearInterval(timer);
        onTag();
        router.push(`/stores/walk?part=${encodeURIComponent(bin)}`);
        return;
      }
      const tag = parseTag(code.data);
      if (!tag.ok) return setMessage(`This code is not a claim tag: ${code.data.slice(0, 40)}`);
      clearInterval(timer);
      onTag();
      router.push(`/bench/${tag.value.tag}`);
    };
    const begin = async () => {
      if (!navigator.mediaDevices) return setMessage("This browser gives this page no camera. Type the tag in Find.");
      try {
        const given = await navigator.mediaDevices.getUserMedia({ video: { facingMode: "environment" } });
        if (over) {
          for (const track of given.getTracks()) track.stop();
          return;
        }
        stream = given;
        video.current!.srcObject = stream;
        await video.current!.play();
        timer = setInterval(look, lookMs);
      } catch {
        setMessage("No camera access. Allow the camera for this page, or type the tag in Find.");
      }
    };
    void begin();
    return () => {
      over = true;
      clearInterval(timer);
      for (const track of stream?.getTracks() ?? []) track.stop();
    };
  }, [onTag, router]);
  return (
    <>
      <video ref={video} className="mt-2 w-full border border-ink" playsInline muted />
      <p role="status" className="mt-2">
        {message}
      </p>
    </>
  );
}
