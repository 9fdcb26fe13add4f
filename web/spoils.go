package web

import (
	"context"
	"crypto/rand"
	"encoding/base32"
	"errors"
	"fmt"
	"strings"

	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/spoil"
	"umschlag/format/planfile"
	"umschlag/store"
)

// freshKey is a key that no part has had: it begins with a letter, which numbers by place never
// do.
func freshKey() ref.Key {
	var b [5]byte
	_, _ = rand.Read(b[:]) // it never fails: it ends the program first
	text := strings.ToLower(base32.StdEncoding.EncodeToString(b[:]))
	return ref.Key("k" + text[:5])
}

// keyed is a document as it is stored: its parts have keys.
func keyed(doc []byte) ([]byte, plan.Plan, error) {
	doc, err := planfile.Keyed(doc, freshKey)
	if err != nil {
		return nil, plan.Plan{}, err
	}
	p, err := planfile.Read(doc)
	return doc, p, err
}

// kept is a changed document with what is recorded of the making as the change leaves it. Where
// the change spoils something and nobody said what becomes of it, that is the error.
func (s *server) kept(ctx context.Context, id string, head store.Plan, doc []byte, now plan.Plan,
	how spoil.Choice) ([]byte, error) {
	shop, err := s.workshop(ctx, id)
	if err != nil {
		return nil, err
	}
	newest, err := planfile.Read([]byte(head.Doc))
	if err != nil {
		return nil, fmt.Errorf("read stored plan %s: %w", head.ID, err)
	}
	if spoil.Nothing(newest) {
		return doc, nil
	}
	was, _, err := s.lastGood(ctx, head, func(was plan.Plan) bool { return spoil.Comparable(was, shop) })
	if err != nil || was == nil {
		return doc, err
	}
	list := spoil.Of(*was, now, shop)
	switch {
	case len(list.Spoils) > 0 && how == "":
		return nil, &spoiling{spoils: list.Spoils}
	case len(list.Spoils)+len(list.Carried) == 0:
		return doc, nil
	}
	if how == "" {
		how = spoil.Stays
	}
	left := list.Kept(now, how)
	return planfile.WithRecord(doc, left.Progress, left.Measured)
}

// farBack is how many revisions are looked through for one that could be cut.
const farBack = 200

// lastGood is the newest revision of a plan that was good, nil where none was.
func (s *server) lastGood(ctx context.Context, head store.Plan, good func(plan.Plan) bool) (p *plan.Plan, number int,
	err error) {
	doc := head.Doc
	for number := head.Revision; number > 0 && number > head.Revision-farBack; number-- {
		if number < head.Revision {
			if doc, err = s.store.Revision(ctx, head.ID, number); errors.Is(err, store.ErrNotFound) {
				continue
			} else if err != nil {
				return nil, 0, err
			}
		}
		p, err := planfile.Read([]byte(doc))
		if err != nil {
			return nil, 0, fmt.Errorf("read stored plan %s: %w", head.ID, err)
		}
		if good(p) {
			return &p, number, nil
		}
	}
	return nil, 0, nil
}
