import { useOffers } from "../api/queries";
import { T } from "../words/T";

/** What finished covers tell as well as a sample would; it is kept only when that is wanted. */
export function Offers({ keep, waiting }: { keep: (sample: unknown) => void; waiting: boolean }) {
  const offers = useOffers().data ?? [];
  if (offers.length === 0) return null;
  return (
    <section aria-label="What finished covers tell" className="offers">
      {offers.map((o) => (
        <p key={o.title}>
          {o.covers.length} finished covers were quilted the same way and measured before they were trimmed (
          {o.covers.join(", ")}):{" "}
          {(o.tells ?? []).slice(0, 2).map((t, i) => (
            <span key={t.name}>
              {i > 0 && ", "}
              {t.name.toLowerCase()}{" "}
              <strong>
                <T>{t.text}</T>
              </strong>
            </span>
          ))}
          .{" "}
          <button type="button" className="word-button" disabled={waiting} onClick={() => keep(o.sample)}>
            Keep that as a sample
          </button>
        </p>
      ))}
    </section>
  );
}
