/** What is worth knowing of something, each in a line of its own. */
export function Sentences({ all }: { all: readonly string[] }) {
  return all.map((sentence) => (
    <p key={sentence} className="mt-1 font-semibold">
      {sentence}
    </p>
  ));
}
