package web

import (
	"fmt"
	"net/http"
	"strings"

	"github.com/labstack/echo/v5"

	"umschlag/format/printpack"
	"umschlag/format/sharepage"
	"umschlag/store"
)

// sharePage answers with a plan as one page that opens without the app.
func (s *server) sharePage(c *echo.Context) error {
	stored, view, p, err := s.cuttable(c)
	if err != nil {
		return err
	}
	data, err := sharepage.Write(sharepage.Order{Title: stored.Title, Reckoning: view.Reckoning,
		Cloths: p.Settle().Cloths})
	if err != nil {
		return echo.NewHTTPError(http.StatusBadRequest, sentence(err.Error()))
	}
	c.Response().Header().Set("Content-Disposition", fmt.Sprintf("attachment; filename=%q", stored.ID+".html"))
	return c.Blob(http.StatusOK, "text/html; charset=utf-8", data)
}

// printPack answers with a plan on paper: ?paper= a4 or letter, ?parts= those wanted with
// commas between them, all where none is named.
func (s *server) printPack(c *echo.Context) error {
	stored, data, err := s.packed(c, c.QueryParam("paper"), c.QueryParam("parts"))
	if err != nil {
		return err
	}
	c.Response().Header().Set("Content-Disposition", fmt.Sprintf("inline; filename=%q", stored.ID+".pdf"))
	return c.Blob(http.StatusOK, "application/pdf", data)
}

// packed is the plan of a request on paper.
func (s *server) packed(c *echo.Context, paper, parts string) (store.Plan, []byte, error) {
	stored, view, p, err := s.cuttable(c)
	if err != nil {
		return stored, nil, err
	}
	o := printpack.Order{Title: stored.Title, Reckoning: view.Reckoning, Cloths: p.Settle().Cloths, Style: p.Style(),
		Paper: printpack.Paper(paper)}
	for part := range strings.SplitSeq(parts, ",") {
		if part != "" {
			o.Parts = append(o.Parts, printpack.Part(part))
		}
	}
	data, err := printpack.Write(o)
	if err != nil {
		return stored, nil, echo.NewHTTPError(http.StatusBadRequest, sentence(err.Error()))
	}
	return stored, data, nil
}
