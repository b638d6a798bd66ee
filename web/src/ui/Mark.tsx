/** The mark: a sprocket whose teeth count the stages done. */
export function Mark({ done, of, size = 34 }: { done: number; of: number; size?: number }) {
  const teeth = Array.from({ length: of }, (_, i) => i);
  return (
    <svg className="mark" viewBox="-17 -17 34 34" width={size} height={size} aria-hidden="true" focusable="false">
      {teeth.map((i) => (
        <rect
          key={i}
          x="-2.1"
          y="-16"
          width="4.2"
          height="6.5"
          rx="1.5"
          transform={`rotate(${(i * 360) / of})`}
          className={i < done ? 'tooth-done' : 'tooth'}
        />
      ))}
      <circle r="11" className="mark-body" />
      <circle r="3.6" className="mark-bore" />
    </svg>
  );
}
