import type { QuiltingDoc } from "../brief/quilting";

/** A sample as it is written. */
export interface SampleDoc {
  title: string;
  kind: string;
  cloth?: string;
  layers?: { batting?: { count?: number; loft?: string }; lining?: string };
  quilting?: QuiltingDoc;
  before?: { width?: string; height?: string };
  after?: { width?: string; height?: string }[];
  cut?: string;
  seam?: string;
  notes?: string;
}
