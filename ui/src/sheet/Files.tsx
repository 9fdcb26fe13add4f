import { memo } from "react";
import { SendTo } from "../devices/SendTo";
import { useOf, usePlan } from "../plan/context";

const kinds = [
  { as: "svg", name: "SVG", tells: "as an SVG drawing" },
  { as: "dxf", name: "DXF", tells: "as a DXF for pattern programs" },
  { as: "plt", name: "HP-GL", tells: "as HP-GL for a cutter" },
] as const;

/** A drawing of the plan at true size, as files: one piece, template or lay by its name. */
export const Files = memo(function Files({
  sort,
  of,
  what,
}: {
  sort: "piece" | "pieces" | "template" | "lay";
  of?: string;
  what: string;
}) {
  const { id } = usePlan();
  const older = useOf((s) => s.older);
  const query = (as: string) => new URLSearchParams({ as, ...(of !== undefined && { of }) });
  if (older) return <span className="files soft">No files: the plan cannot be cut as it stands.</span>;
  const offered = sort === "pieces" ? kinds.filter((k) => k.as === "dxf") : kinds;
  return (
    <span className="files">
      <span className="soft">True size:</span>
      {offered.map((kind) => (
        <a
          key={kind.as}
          className="word-button"
          href={`/api/v1/plans/${id}/drawings/${sort}?${query(kind.as)}`}
          download
          aria-label={`${what} ${kind.tells}`}
        >
          {kind.name}
        </a>
      ))}
      {sort !== "pieces" && <SendTo kind="cutter" job={{ sort, of, as: "plt" }} what={what} />}
    </span>
  );
});
