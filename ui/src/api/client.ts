import type { Refusal } from "./api.gen";
import { unpressed } from "./press";

/** An answer that is not the one asked for, with what the server says of it. */
export class ApiError extends Error {
  constructor(readonly problem: Refusal) {
    super(problem.detail || problem.title);
  }

  /** The same may be taken later: once one is let in again, asks less at once, or the server can keep it. */
  get passes(): boolean {
    return this.problem.status >= 500 || [401, 403, 408, 429].includes(this.problem.status);
  }
}

/** The server does not answer at all. */
export class Unreachable extends Error {
  constructor() {
    super("The app’s server does not answer.");
  }
}

/**
 * Reads an answer. It is parsed here: the browser’s json() takes some milliseconds longer, which one waits for at every
 * key.
 */
const read = async (response: Response) => JSON.parse(await response.text());

/** What may be said with a request. */
interface Way {
  signal?: AbortSignal;
  /** The id of what is made: asked for again under it, it is the same. */
  once?: string;
}

/** Asks the server; throws ApiError for its refusals and Unreachable without an answer. */
export async function ask<T>(method: string, path: string, body?: unknown, way?: Way): Promise<T> {
  const response = await send(method, path, body, way);
  const told = response.status === 204 ? undefined : response.ok ? await read(response) : await refusal(response);
  await unpressed();
  if (told instanceof ApiError) throw told;
  return told as T;
}

/** Asks the server for an answer that is read by whoever asks; throws as ask does. */
export async function apart(method: string, path: string, body: unknown, signal: AbortSignal): Promise<Response> {
  const response = await send(method, path, body, { signal });
  if (!response.ok) throw await refusal(response);
  return response;
}

/** Browsers let requests of up to 64 kB in all outlive their page. */
const outliving = 60_000;

/** Sends a file as it is; throws as ask does. */
export async function sendFile<T>(path: string, file: File): Promise<T> {
  const response = await reached(
    fetch(`/api/v1${path}`, { method: "POST", headers: { "content-type": "application/octet-stream" }, body: file }),
  );
  if (!response.ok) throw await refusal(response);
  return response.json();
}

async function refusal(response: Response) {
  const type = response.headers.get("content-type") ?? "";
  return new ApiError(type.includes("json") ? await response.json() : bare(response));
}

async function send(method: string, path: string, body: unknown, { signal, once }: Way = {}): Promise<Response> {
  const text = body === undefined || typeof body === "string" ? body : JSON.stringify(body);
  return reached(
    fetch(`/api/v1${path}`, {
      method,
      signal,
      headers: {
        ...(text !== undefined && { "content-type": "application/json" }),
        ...(once && { "idempotency-key": once }),
      },
      body: text,
      // A save under way is not lost with the page it was made on.
      keepalive: method === "PUT" && text !== undefined && text.length < outliving,
    }),
    signal,
  );
}

async function reached(answer: Promise<Response>, signal?: AbortSignal): Promise<Response> {
  try {
    return await answer;
  } catch (error) {
    if (signal?.aborted) throw error;
    throw new Unreachable();
  }
}

function bare(response: Response): Refusal {
  return { type: "about:blank", title: response.statusText, status: response.status, detail: response.statusText };
}

/** What an error says, in a sentence for the maker. */
export function sentence(error: unknown): string {
  if (error instanceof ApiError) {
    const { title, detail } = error.problem;
    return detail.startsWith(title) ? detail : `${title}. ${detail}`;
  }
  return error instanceof Error ? error.message : "Something went wrong.";
}
