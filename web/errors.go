package web

import (
	"bytes"
	_ "embed"
	"encoding/json"
	"errors"
	"fmt"
	"html/template"
	"io"
	"net/http"
	"strings"

	"github.com/labstack/echo/v5"

	"umschlag/core/finding"
	"umschlag/core/spoil"
	"umschlag/device"
	"umschlag/device/bench"
	"umschlag/format/drawing"
	"umschlag/format/planfile"
	"umschlag/store"
)

// fail answers an error as problem+json. What went wrong inside stays inside.
func (s *server) fail(c *echo.Context, err error) {
	if c.Request().Context().Err() != nil {
		return // nobody waits for the answer any more: more was typed, or the page is closed
	}
	p := s.problem(err)
	if p.Status >= http.StatusInternalServerError {
		s.log.Error("request failed", "method", c.Request().Method, "path", c.Request().URL.Path, "error", err)
	}
	kind, body := "application/problem+json", []byte(nil)
	if opened(c.Request()) {
		kind, body = "text/html; charset=utf-8", p.page()
	} else if body, err = json.Marshal(p); err != nil {
		s.log.Error("answer failed", "error", err)
		return
	}
	if err := c.Blob(p.Status, kind, body); err != nil {
		s.log.Debug("answer not delivered", "error", err)
	}
}

// opened reports a request that a person made by opening an address, a link to a file for
// instance: the answer is read as a page.
func opened(r *http.Request) bool {
	return r.Method == http.MethodGet && strings.Contains(r.Header.Get("Accept"), "text/html")
}

//go:embed refusal.html
var refusalPage string

var refusalTemplate = template.Must(template.New("refusal").Parse(refusalPage))

// page is a refusal for people.
func (r Refusal) page() []byte {
	var b bytes.Buffer
	_ = refusalTemplate.Execute(&b, r) // into memory: it fails only with a broken template, which a test would show
	return b.Bytes()
}

// stopped is a plan of which no file is given out.
type stopped struct{ findings []finding.Finding }

func (s *stopped) Error() string {
	for _, f := range s.findings {
		if f.Level == finding.Stop {
			return strings.TrimSpace(f.Text + " " + f.Remedy)
		}
	}
	return "Nothing of it can be cut."
}

// refused is a stale save with the version that was not taken.
type refused struct {
	conflict *store.ConflictError
	current  PlanView
	apart    *Sides
}

func (r *refused) Error() string { return r.conflict.Error() }

// spoiling is a save that would spoil what is cut already.
type spoiling struct{ spoils []spoil.Spoil }

func (s *spoiling) Error() string {
	return fmt.Sprintf("the change spoils %d of what is cut", len(s.spoils))
}

func (s *server) problem(err error) Refusal {
	var (
		spoils   *spoiling
		unread   planfile.Problems
		conflict *refused
		tooLarge *http.MaxBytesError
		status   interface{ StatusCode() int }
	)
	var unusable *drawing.Refusal
	var untaken *device.Refusal
	var halted *stopped
	var damaged *unreadable
	switch {
	case errors.As(err, &damaged):
		detail := "Save its file on the shelf, mend it, and open it again."
		if errors.As(err, &unread) {
			detail += " " + sentence(unread.Error())
		}
		return Refusal{Type: "unreadable", Title: "This plan cannot be read", Status: http.StatusUnprocessableEntity,
			Detail: detail}
	case errors.As(err, &halted):
		return Refusal{Type: "stopped", Title: "The plan cannot be cut as it stands", Status: http.StatusConflict,
			Detail: "No file of it is given out until then. " + halted.Error()}
	case errors.As(err, &untaken):
		return Refusal{Type: "device", Title: untaken.Reason, Status: http.StatusConflict, Detail: untaken.Error()}
	case errors.Is(err, bench.ErrUnknown):
		return Refusal{Type: "not-found", Title: "There is no such device or job", Status: http.StatusNotFound,
			Detail: "Look among the devices: it may have been forgotten since."}
	case errors.As(err, &unusable):
		return Refusal{Type: "unreadable", Title: "The drawing cannot be read", Status: http.StatusBadRequest,
			Detail: unusable.Error()}
	case errors.As(err, &unread):
		return Refusal{Type: "unreadable", Title: "The plan cannot be read", Status: http.StatusBadRequest,
			Detail: unread.Error(), Errors: unread}
	case errors.As(err, &spoils):
		return Refusal{Type: "spoils", Title: "The change spoils what is done already", Status: http.StatusConflict,
			Detail: "Nothing was saved. Look at what it spoils, then take the change back or keep it.",
			Spoils: spoils.spoils}
	case errors.As(err, &conflict):
		return Refusal{Type: "stale", Title: "The plan was changed in another window", Status: http.StatusConflict,
			Detail: "Nothing was overwritten. Compare both versions and keep one.", Current: &conflict.current,
			Apart: conflict.apart}
	case errors.Is(err, store.ErrStale):
		return Refusal{Type: "stale", Title: "It was changed in another window", Status: http.StatusConflict,
			Detail: "Reload it, then make your change again."}
	case errors.Is(err, store.ErrGone):
		return notKept(http.StatusServiceUnavailable, "The data directory is not where it was",
			"Put it back, or start the app again with its new place.")
	case errors.Is(err, store.ErrFull):
		return notKept(http.StatusInsufficientStorage, "The disk is full", "Make room on it.")
	case errors.Is(err, store.ErrReadOnly):
		return notKept(http.StatusServiceUnavailable, "The data directory may not be written to", "Allow it.")
	case errors.Is(err, store.ErrNotEmpty):
		return Refusal{Type: "not-empty", Title: "There is something in this workshop already",
			Status: http.StatusConflict,
			Detail: "A whole workshop is brought into an empty one. Start the app with another data directory, and bring it in there."}
	case errors.Is(err, store.ErrTaken):
		return Refusal{Type: "taken", Title: "There is one of that name already", Status: http.StatusConflict,
			Detail: "Choose another name."}
	case errors.Is(err, store.ErrNothing):
		return Refusal{Type: "nothing", Title: "There is nothing to go back to", Status: http.StatusConflict,
			Detail: "This is as far as it goes."}
	case errors.Is(err, store.ErrNotFound):
		return Refusal{Type: "not-found", Title: "There is no such thing here", Status: http.StatusNotFound,
			Detail: "It may have been put away. Look on the shelf."}
	case errors.As(err, &tooLarge), errors.Is(err, echo.ErrStatusRequestEntityTooLarge):
		return Refusal{Type: "too-large", Title: "That is too large for a plan",
			Status: http.StatusRequestEntityTooLarge,
			Detail: fmt.Sprintf("A plan file has at most %d kB. Is it the right file?", planfile.MaxSize/1024)}
	case errors.As(err, &status):
		return ofStatus(status.StatusCode(), err)
	default:
		return Refusal{Type: "internal", Title: "The app made a mistake", Status: http.StatusInternalServerError,
			Detail: "Nothing was changed. Try again; the server’s log says what happened."}
	}
}

// notKept is a change that there was no place for.
func notKept(status int, title, detail string) Refusal {
	return Refusal{Type: "not-kept", Title: title, Status: status, Detail: "Nothing was saved. " + detail +
		" What you typed stays in this window until it is saved."}
}

// ofStatus describes an error that has nothing but a status and a message.
func ofStatus(status int, err error) Refusal {
	p := Refusal{Type: "about:blank", Title: http.StatusText(status), Status: status}
	if status == http.StatusBadRequest {
		p.Title = "Nothing was changed"
	}
	var he *echo.HTTPError
	if errors.As(err, &he) {
		p.Detail = he.Message
	}
	if p.Detail == "" {
		p.Detail = p.Title + "."
	}
	return p
}

// decode reads a JSON request into v and refuses keys it does not know.
func decode(c *echo.Context, v any) error {
	d := json.NewDecoder(c.Request().Body)
	d.DisallowUnknownFields()
	err := d.Decode(v)
	var tooLarge *http.MaxBytesError
	if err == nil || errors.As(err, &tooLarge) || errors.Is(err, echo.ErrStatusRequestEntityTooLarge) {
		return err
	}
	if errors.Is(err, io.EOF) {
		return echo.NewHTTPError(http.StatusBadRequest, "The request is empty.")
	}
	return echo.NewHTTPError(http.StatusBadRequest, "The request cannot be read: "+err.Error())
}
