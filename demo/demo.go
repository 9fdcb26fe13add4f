// Package demo holds the demo data: the covers of a made-up job, refitting a
// small town's library van, and the cupboard it is sewn from.
package demo

import (
	"context"
	"embed"
	"encoding/json"
	"fmt"
	"io/fs"
	"path"
	"strings"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/stock"
	"umschlag/format/planfile"
	"umschlag/store"
)

//go:embed *.json workshop/*.json
var files embed.FS

// workshop is everything around the plans.
type workshop struct {
	Habits   json.RawMessage   `json:"habits"`
	Cupboard []json.RawMessage `json:"cupboard"`
	Notions  []json.RawMessage `json:"notions"`
	Units    []json.RawMessage `json:"units"`
	Samples  []json.RawMessage `json:"samples"`
	Finished map[string]struct {
		Minutes int    `json:"minutes"`
		Notes   string `json:"notes"`
		Next    string `json:"next"`
	} `json:"finished"`
}

// Plans are the demo plan files by name, without .json.
func Plans() (map[string][]byte, error) {
	names, err := fs.Glob(files, "*.json")
	if err != nil {
		return nil, err
	}
	out := map[string][]byte{}
	for _, n := range names {
		if out[strings.TrimSuffix(n, path.Ext(n))], err = files.ReadFile(n); err != nil {
			return nil, err
		}
	}
	return out, nil
}

// order in which the plans were begun; the last is on top of the shelf.
var order = []string{"audiobook-corner-cushion", "waiting-bench-cushion", "lavender-mini", "poetry-corner-cushion",
	"window-cushion", "lapped-patchwork-cushion", "map-table-cushion", "folded-window-cushion", "guest-album-jacket",
	"van-cushion", "sampler-cushion", "scanner-hood", "loans-binder-jacket", "listening-stool", "bench-cushion",
	"story-mat-pad", "visitors-log-jacket", "label-printer-hood", "turntable-hood", "returns-desk-cushion",
	"pinwheel-cushion", "patchwork-cushion", "reading-corner-cushion"}

// Fill puts the demo data into an empty store.
func Fill(ctx context.Context, s *store.Store) error {
	data, err := files.ReadFile("workshop/workshop.json")
	if err != nil {
		return err
	}
	var w workshop
	if err := json.Unmarshal(data, &w); err != nil {
		return fmt.Errorf("read the demo workshop: %w", err)
	}
	if _, err := s.SaveHabits(ctx, 0, string(w.Habits)); err != nil {
		return err
	}
	if err := put(w.Cupboard, func(name,
		doc string) error {
		_, err := s.AddCloth(ctx, name, doc)
		return err
	}); err != nil {
		return err
	}
	if err := put(w.Notions, func(name,
		doc string) error {
		_, err := s.AddNotion(ctx, name, doc)
		return err
	}); err != nil {
		return err
	}
	for _, doc := range w.Units {
		if err := putUnits(ctx, s, doc); err != nil {
			return err
		}
	}
	for _, doc := range w.Samples {
		var one struct {
			Title string `json:"title"`
		}
		if err := json.Unmarshal(doc, &one); err != nil {
			return fmt.Errorf("read the demo samples: %w", err)
		}
		if _, err := s.AddSample(ctx, one.Title, string(doc)); err != nil {
			return err
		}
	}
	plans, err := Plans()
	if err != nil {
		return err
	}
	for _, name := range order {
		p, err := planfile.Read(plans[name])
		if err != nil {
			return fmt.Errorf("read the demo plan %s: %w", name, err)
		}
		made, err := s.Create(ctx, p.Title, string(p.Cover.Kind), string(plans[name]))
		if err != nil {
			return err
		}
		if f, ok := w.Finished[name]; ok {
			if _, err := s.Finish(ctx, made.ID, store.Change{Base: made.Revision},
				store.LogEntry{Minutes: f.Minutes, Notes: f.Notes, Next: f.Next}); err != nil {
				return err
			}
		}
	}
	return nil
}

// putUnits puts units that are sewn already into the cupboard.
func putUnits(ctx context.Context, s *store.Store, doc []byte) error {
	var u plan.MadeUnits
	if err := planfile.ReadPart(doc, length.Inches, &u); err != nil {
		return fmt.Errorf("read the demo units: %w", err)
	}
	of, err := stock.ReadUnits(u)
	if err != nil {
		return fmt.Errorf("read the demo units: %w", err)
	}
	return s.MoveUnits(ctx, of.Key(), func(string) (string, error) { return string(doc), nil })
}

// put puts things into the cupboard by their names.
func put(docs []json.RawMessage, add func(name, doc string) error) error {
	for _, doc := range docs {
		var thing struct {
			Name string `json:"name"`
		}
		if err := json.Unmarshal(doc, &thing); err != nil {
			return fmt.Errorf("read the demo cupboard: %w", err)
		}
		if err := add(thing.Name, string(doc)); err != nil {
			return err
		}
	}
	return nil
}
