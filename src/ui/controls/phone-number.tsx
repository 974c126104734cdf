interface Props {
  readonly phone: string;
  /** A message that is ready to send in the phone's own messenger. */
  readonly message?: string;
  /** Whose it is, where several stand on a page. */
  readonly of: string;
}

/** A phone number that can be called or written to where the device can; words where there is none. */
export function PhoneNumber({ phone, message, of }: Props) {
  if (!phone) return <span>no phone number</span>;
  const dialled = phone.replace(/[^\d+]/g, "");
  return (
    <>
      <a className="act-link num inline-flex min-h-11 items-center" href={`tel:${dialled}`} aria-label={`Call ${of}: ${phone}`}>
        {phone}
      </a>
      {message && (
        <>
          {" "}
          <a
            className="act-link inline-flex min-h-11 items-center"
            href={`sms:${dialled}?body=${encodeURIComponent(message)}`}
            aria-label={`Text ${of}`}
          >
            Text
          </a>
        </>
      )}
    </>
  );
}
