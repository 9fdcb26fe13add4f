package web

import (
	"errors"
	"fmt"
	"io"
	"net/http"

	"github.com/labstack/echo/v5"

	"umschlag/format/planfile"
	"umschlag/format/workshopfile"
	"umschlag/store"
)

// workshopPath takes a whole workshop in.
const workshopPath = "/api/v1/workshop"

// saveWorkshop answers with the whole workshop as one file.
func (s *server) saveWorkshop(c *echo.Context) error {
	w, err := s.store.Whole(c.Request().Context())
	if err != nil {
		return err
	}
	data, err := workshopfile.Write(w)
	if err != nil {
		return err
	}
	c.Response().Header().Set("Content-Disposition", `attachment; filename="workshop.zip"`)
	return c.Blob(http.StatusOK, "application/zip", data)
}

// bringWorkshop takes a whole workshop into this one, which has to be empty: all of it or
// nothing.
func (s *server) bringWorkshop(c *echo.Context) error {
	data, err := io.ReadAll(io.LimitReader(c.Request().Body, workshopfile.MostBytes+1))
	if err != nil {
		return err
	}
	w, err := workshopfile.Read(data)
	var fault *workshopfile.Fault
	if errors.As(err, &fault) {
		return planfile.Problems{{Path: fault.Path, Text: sentence(fault.Text) + " Nothing was brought in."}}
	}
	if err != nil {
		return echo.NewHTTPError(http.StatusBadRequest, sentence(err.Error())+" Nothing was brought in.")
	}
	if w.Format == workshopfile.FormatOne {
		if err := oneSeam(w); err != nil {
			return err
		}
	}
	titles, err := judged(w)
	if err != nil {
		return err
	}
	for n, p := range w.Photos {
		again, err := s.taken(c.Request().Context(), p.JPEG)
		if err != nil {
			return planfile.Problems{{Path: fmt.Sprintf("photos/%d.jpg", n), Text: sentence(err.Error())}}
		}
		w.Photos[n] = workshopfile.Photo{JPEG: again.JPEG, Width: again.Width, Height: again.Height}
	}
	if err := s.store.Fill(c.Request().Context(), w, titles); err != nil {
		return err
	}
	return s.counted(c, w)
}

// oneSeam says in plans of the format before that fronts are sewn with the seam of the cover.
func oneSeam(w workshopfile.Workshop) error {
	for i := range w.Plans {
		doc, err := planfile.OneSeam(w.Plans[i].Doc)
		if err != nil {
			return planfile.Problems{{Path: "plans/" + w.Plans[i].ID, Text: err.Error()}}
		}
		w.Plans[i].Doc = doc
	}
	for i := range w.Log {
		doc, err := planfile.OneSeam(w.Log[i].Doc)
		if err != nil {
			return planfile.Problems{{Path: fmt.Sprintf("log/%d", i), Text: err.Error()}}
		}
		w.Log[i].Doc = doc
	}
	return nil
}

// counted says how much was brought in.
func (s *server) counted(c *echo.Context, w workshopfile.Workshop) error {
	return c.JSON(http.StatusCreated,
		BroughtIn{Plans: len(w.Plans), Cloths: len(w.Cloths), Notions: len(w.Notions), Samples: len(w.Samples),
			Covers: len(w.Log), Photos: len(w.Photos)})
}

// judged reads every document of a workshop; what cannot be read is named.
func judged(w workshopfile.Workshop) ([]store.Title, error) {
	about := func(path string, err error) error {
		return planfile.Problems{{Path: path, Text: err.Error()}}
	}
	sh, err := readShop(w.Habits)
	if err != nil {
		return nil, about("habits", err)
	}
	var titles []store.Title
	known := map[string]bool{}
	for i, p := range w.Plans {
		read, err := planfile.Read(p.Doc)
		if err != nil {
			return nil, about(fmt.Sprintf("plans/%d, %s", i, p.ID), err)
		}
		known[p.ID] = true
		titles = append(titles, store.Title{Title: read.Title, Kind: string(read.Cover.Kind)})
	}
	for i, one := range w.Cloths {
		if _, err := readCloth(one.Doc, sh); err != nil {
			return nil, about(fmt.Sprintf("cloths/%d, %s", i, one.Name), err)
		}
	}
	for i, one := range w.Notions {
		if _, err := readNotion(one.Doc, sh); err != nil {
			return nil, about(fmt.Sprintf("notions/%d, %s", i, one.Name), err)
		}
	}
	for i, one := range w.Units {
		if _, _, err := readUnits(one.Doc, sh); err != nil {
			return nil, about(fmt.Sprintf("units/%d, %s", i, one.Name), err)
		}
	}
	for i, one := range w.Samples {
		if _, err := readSample(one.Doc, sh); err != nil {
			return nil, about(fmt.Sprintf("samples/%d, %s", i, one.ID), err)
		}
	}
	for i, e := range w.Log {
		path := fmt.Sprintf("log/%d, %s", i, e.Title)
		if _, err := planfile.Read(e.Doc); err != nil {
			return nil, about(path, err)
		}
		if !known[e.Plan] {
			return nil, about(path, fmt.Errorf("its plan %q is not in the file", e.Plan))
		}
		for _, n := range e.Photos {
			if _, there := w.Photos[n]; !there {
				return nil, about(path, fmt.Errorf("its photo %d is not in the file", n))
			}
		}
	}
	return titles, nil
}
