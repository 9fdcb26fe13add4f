import { cleanup, configure } from "@testing-library/react";
import { afterEach } from "vitest";

// What is shown is waited for, however busy the machine is; only a test that fails waits so long.
configure({ asyncUtilTimeout: 30_000 });

afterEach(cleanup);
