package web

import (
	"context"
	"encoding/json"
	"io/fs"
	"net/http"
	"path"
	"slices"

	"umschlag/core/length"
)

// firstAsks are what the page asks for as it opens on the shelf or, where id is not empty, in a plan: named with the
// page, they are on their way while its scripts are. What cannot be read is told where the page asks for it.
func (s *server) firstAsks(ctx context.Context, id string) []string {
	if id == "" {
		sh, err := s.shop(ctx)
		if err != nil {
			return nil
		}
		return []string{"/habits", startsAt(sh.unit), "/plans"}
	}
	p, err := s.store.Plan(ctx, id)
	if err != nil {
		return nil
	}
	written := struct{ Units length.Unit }{length.Inches}
	if json.Unmarshal([]byte(p.Doc), &written) != nil || !slices.Contains(length.Units(), written.Units) {
		return []string{"/plans/" + p.ID} // it cannot be read, and is told as such
	}
	return []string{"/plans/" + p.ID, startsAt(written.Units)}
}

// firstScripts are the scripts of the places one mostly comes in by, by where they are, as the page was built.
type firstScripts map[string][]string

func readFirst(files fs.FS) firstScripts {
	out := firstScripts{}
	if data, err := fs.ReadFile(files, "first.json"); err != nil || json.Unmarshal(data, &out) != nil {
		return nil // the page finds them by itself
	}
	return out
}

// at are the scripts of a place.
func (f firstScripts) at(place string) []string {
	for pattern, scripts := range f {
		if is, _ := path.Match(pattern, place); is {
			return scripts
		}
	}
	return nil
}

// startsAt is where what begins in a unit is asked for.
func startsAt(u length.Unit) string { return "/starts?units=" + string(u) }

// askedFirst names what the page asks for first in its head, as the page asks for it.
func askedFirst(h http.Header, scripts, asks []string) {
	for _, script := range scripts {
		h.Add("Link", "</"+script+">; rel=modulepreload")
	}
	for _, ask := range asks {
		h.Add("Link", "</api/v1"+ask+">; rel=preload; as=fetch; crossorigin")
	}
}
