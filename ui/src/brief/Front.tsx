import { FaceProvider } from "./face/context";
import { Face } from "./face/Face";

/** What the front of a cushion is made of. */
export function Front() {
  return (
    <FaceProvider value={{ config: "front", title: "front", base: "/pieces/front/face", inner: "" }}>
      <Face />
    </FaceProvider>
  );
}
