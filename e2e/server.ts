import { type ChildProcess, spawn } from "node:child_process";
import { createServer } from "node:net";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

export const binary = join(dirname(fileURLToPath(import.meta.url)), "../bin/umschlag");

export const address = (port: number) => `http://127.0.0.1:${port}`;

/** A port of this machine on which nothing listens. */
export async function freePort(): Promise<number> {
  const probe = createServer();
  await new Promise<void>((resolve) => probe.listen(0, "127.0.0.1", resolve));
  const { port } = probe.address() as { port: number };
  await new Promise((resolve) => probe.close(resolve));
  return port;
}

/** A running server of the app. */
export class Server {
  private child: ChildProcess | null = null;
  readonly url: string;

  private constructor(
    private readonly args: string[],
    port: number,
  ) {
    this.url = args.includes("--tls") ? address(port).replace("http:", "https:") : address(port);
  }

  /** Serves the workshop in a directory. */
  static async start(data: string, port: number, more: string[] = []): Promise<Server> {
    const server = new Server(["serve", "--data", data, "--listen", `127.0.0.1:${port}`, ...more], port);
    await server.again();
    return server;
  }

  /** Starts it again at the same address. */
  async again() {
    const child = spawn(binary, this.args, { stdio: ["ignore", "pipe", "inherit"] });
    this.child = child;
    await new Promise<void>((resolve, reject) => {
      let out = "";
      child.stdout.on("data", (data) => {
        out += data;
        if (out.includes(this.url)) resolve();
      });
      child.on("exit", (code) => reject(new Error(`the server ended with ${code}: ${out}`)));
    });
  }

  /** Ends the server; SIGKILL leaves it no time for anything. */
  async stop(signal: NodeJS.Signals = "SIGTERM") {
    const child = this.child;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const gone = new Promise((resolve) => child.once("exit", resolve));
    child.kill(signal);
    await gone;
    this.child = null;
  }
}
