/** A section with a probe that stops short of the middle. */
export const ProbeSeat = () => (
  <svg width="88" height="66" viewBox="0 0 88 66" className="probe-seat" aria-hidden="true">
    <ellipse cx="33" cy="33" rx="31" ry="28" className="meat" />
    <path d="M29 33h8M33 29v8" className="middle" />
    <path d="M86 15L48 26" className="needle-line" />
    <circle cx="47" cy="26" r="3.6" className="tip" />
  </svg>
);
