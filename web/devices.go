package web

import (
	"context"
	"errors"
	"net/http"
	"strconv"
	"strings"
	"time"

	"github.com/labstack/echo/v5"

	"umschlag/core/length"
	"umschlag/device"
	"umschlag/device/bench"
	"umschlag/device/standin"
	"umschlag/format/drawing"
	"umschlag/format/hpgl"
	"umschlag/format/printpack"
	"umschlag/format/svgfile"
)

// DevicesView is what stands by the workshop.
type DevicesView struct {
	Devices []DeviceView `json:"devices"`
	// Jobs that were sent, the newest first.
	Jobs []JobView `json:"jobs"`
	// Last is the number of the newest reading.
	Last int `json:"last"`
}

// DeviceView is a device as it stands.
type DeviceView struct {
	ID        string `json:"id"`
	Name      string `json:"name"`
	Kind      string `json:"kind"`
	Connected bool   `json:"connected"`
	// Takes are the kinds of data a maker can read.
	Takes []string `json:"takes"`
	// Units, Faults and Pace are what can be set of a stand-in.
	Units  []string        `json:"units"`
	Faults *standin.Faults `json:"faults,omitempty"`
	Pace   *standin.Pace   `json:"pace,omitempty"`
}

// SetDevice connects a device, or sets a stand-in.
type SetDevice struct {
	Connected *bool           `json:"connected,omitempty"`
	Faults    *standin.Faults `json:"faults,omitempty"`
	Pace      *standin.Pace   `json:"pace,omitempty"`
}

// PressGauge presses the button of a stand-in over something of a size: a length, or grams.
type PressGauge struct {
	Size string `json:"size"`
}

// ReadingView is what came from a gauge.
type ReadingView struct {
	Number int    `json:"number"`
	Device string `json:"device"`
	Name   string `json:"name"`
	Kind   string `json:"kind"`
	// Text as it would be typed, empty where it was refused; Says what there is to say of it.
	Text string `json:"text"`
	Says string `json:"says"`
	// Refused tells that it is not to be used, Gone that the gauge answers no more.
	Refused bool `json:"refused,omitempty"`
	Gone    bool `json:"gone,omitempty"`
}

// SendJob asks for something of a plan to be sent to a maker: a piece, template or lay as plt
// or svg to a cutter, the pack or the labels to a printer.
type SendJob struct {
	Device string `json:"device"`
	Sort   string `json:"sort"`
	Of     string `json:"of,omitempty"`
	As     string `json:"as,omitempty"`
	Paper  string `json:"paper,omitempty"`
	Parts  string `json:"parts,omitempty"`
}

// JobView is how far a job is.
type JobView struct {
	Number int     `json:"number"`
	Device string  `json:"device"`
	Kind   string  `json:"kind"`
	Name   string  `json:"name"`
	Done   float64 `json:"done"`
	Of     float64 `json:"of"`
	Unit   string  `json:"unit"`
	// Jam says what stopped it and what to do.
	Jam string `json:"jam,omitempty"`
	// State is working, jammed, done, stopped or gone; Says it in a sentence.
	State string `json:"state"`
	Says  string `json:"says"`
}

// StrokesView is what a cutter does for a job, in millimetres, up being up.
type StrokesView struct {
	Strokes []StrokeView `json:"strokes"`
	// Box from its left and lowest to its right and highest.
	Box [4]float64 `json:"box"`
}

// StrokeView is one line with the knife or pen down.
type StrokeView struct {
	// Cuts tells a cut from what is only drawn.
	Cuts bool `json:"cuts"`
	// Path in SVG path data, y down, and how far it is to its beginning and to its end, in
	// millimetres of the job.
	Path string  `json:"path"`
	From float64 `json:"from"`
	To   float64 `json:"to"`
}

// patience is how long a request waits for a reading; shorter than the server takes to stop.
const patience = 4 * time.Second

// standIns are the devices that ship with the app.
func standIns() *bench.Bench {
	return bench.New(standin.NewTape("cm"), standin.NewScale(), standin.NewCutter(), standin.NewPrinter())
}

func (s *server) devices(c *echo.Context) error {
	out := DevicesView{Devices: []DeviceView{}, Jobs: []JobView{}, Last: s.bench.Last()}
	for _, state := range s.bench.States() {
		out.Devices = append(out.Devices, deviceView(state))
	}
	for _, j := range s.bench.Jobs() {
		out.Jobs = append(out.Jobs, jobView(j))
	}
	return c.JSON(http.StatusOK, out)
}

func deviceView(s bench.State) DeviceView {
	about := s.Device.About()
	out := DeviceView{ID: about.ID, Name: about.Name, Kind: string(about.Kind), Connected: s.Connected,
		Takes: []string{}, Units: []string{}}
	switch d := s.Device.(type) {
	case *standin.Gauge:
		faults := d.Faults()
		out.Faults, out.Units = &faults, standin.Units(about.Kind)
	case *standin.Maker:
		pace := d.Pace()
		out.Pace = &pace
	}
	if maker, ok := s.Device.(device.Maker); ok {
		out.Takes = maker.Takes()
	}
	return out
}

// setDevice connects a device or sets a stand-in.
func (s *server) setDevice(c *echo.Context) error {
	var in SetDevice
	if err := decode(c, &in); err != nil {
		return err
	}
	d, err := s.bench.Device(c.Param("id"))
	if err != nil {
		return err
	}
	if in.Faults != nil {
		gauge, ok := d.(*standin.Gauge)
		if !ok {
			return echo.NewHTTPError(http.StatusBadRequest, "Only a tape and a scale have such faults to be set.")
		}
		if err := gauge.Set(*in.Faults); err != nil {
			return err
		}
	}
	if in.Pace != nil {
		maker, ok := d.(*standin.Maker)
		if !ok {
			return echo.NewHTTPError(http.StatusBadRequest, "Only a cutter and a printer have a pace to be set.")
		}
		if err := maker.Set(*in.Pace); err != nil {
			return err
		}
	}
	if in.Connected != nil {
		if err := s.bench.Connect(c.Param("id"), *in.Connected); err != nil {
			return err
		}
	}
	return s.devices(c)
}

// press presses the button of a stand-in.
func (s *server) press(c *echo.Context) error {
	var in PressGauge
	if err := decode(c, &in); err != nil {
		return err
	}
	d, err := s.bench.Device(c.Param("id"))
	if err != nil {
		return err
	}
	gauge, ok := d.(*standin.Gauge)
	if !ok {
		return echo.NewHTTPError(http.StatusBadRequest, "Only a tape or a scale is pressed.")
	}
	size, err := sizeOf(gauge.About().Kind, in.Size)
	if err != nil {
		return err
	}
	if !gauge.Press(size) {
		return &device.Refusal{Reason: "The " + string(gauge.About().Kind) + " sends nothing.",
			Remedy: "Connect it first."}
	}
	return c.NoContent(http.StatusNoContent)
}

// sizeOf is a typed size in what a gauge measures: millimetres or grams.
func sizeOf(kind device.Kind, text string) (float64, error) {
	if kind == device.Tape {
		l, err := length.Parse(text, length.Centimetres)
		if err != nil {
			return 0, echo.NewHTTPError(http.StatusBadRequest, err.Error())
		}
		return l.Float() / length.Millimetre.Float(), nil
	}
	g := typedGrams(text)
	if !(g > 0 && g <= 1e6) {
		return 0, echo.NewHTTPError(http.StatusBadRequest, "Type grams, such as 412.")
	}
	return g, nil
}

// readings answers what came from gauges after a number; it waits for something to come.
func (s *server) readings(c *echo.Context) error {
	after, err := strconv.Atoi(c.QueryParam("after"))
	if err != nil {
		return echo.NewHTTPError(http.StatusBadRequest, "Say after which reading, as a number.")
	}
	ctx, cancel := context.WithTimeout(c.Request().Context(), patience)
	defer cancel()
	out := []ReadingView{}
	for _, e := range s.bench.After(ctx, after) {
		out = append(out, readingView(e))
	}
	return c.JSON(http.StatusOK, out)
}

func readingView(e bench.Event) ReadingView {
	out := ReadingView{Number: e.Number, Device: e.Device.ID, Name: e.Device.Name, Kind: string(e.Device.Kind)}
	if e.Gone {
		out.Gone, out.Says = true,
			"The "+string(e.Device.Kind)+" does not answer any more. Nothing was entered; connect it again, or type what you read."
		return out
	}
	judge := e.Reading.Length
	if e.Device.Kind == device.Scale {
		judge = e.Reading.Weight
	}
	taken, err := judge()
	if err != nil {
		out.Refused, out.Says = true, err.Error()
		return out
	}
	out.Text, out.Says = taken.Text, taken.Says
	return out
}

// send gives something of a plan to a maker.
func (s *server) send(c *echo.Context) error {
	var in SendJob
	if err := decode(c, &in); err != nil {
		return err
	}
	job, err := s.jobFor(c, in)
	if err != nil {
		return err
	}
	state, err := s.bench.Send(in.Device, job)
	if err != nil {
		return err
	}
	return c.JSON(http.StatusOK, jobView(state))
}

// jobFor makes what a maker is sent.
func (s *server) jobFor(c *echo.Context, in SendJob) (device.Job, error) {
	switch in.Sort {
	case "pack":
		stored, data, err := s.packed(c, in.Paper, in.Parts)
		return device.Job{Name: stored.Title, As: "pdf", Data: data}, err
	case "labels":
		stored, view, err := s.looked(c)
		if err != nil {
			return device.Job{}, err
		}
		data, err := printpack.Labels(stored.Title, view.Reckoning)
		if err != nil {
			return device.Job{}, echo.NewHTTPError(http.StatusBadRequest, sentence(err.Error()))
		}
		return device.Job{Name: "Labels, " + stored.Title, As: "pdf", Data: data}, nil
	}
	stored, view, err := s.looked(c)
	if err != nil {
		return device.Job{}, err
	}
	list, err := drawings(view.Reckoning, swatchesIn([]byte(stored.Doc)), in.Sort, in.Of)
	if err != nil {
		return device.Job{}, err
	}
	if len(list) != 1 {
		return device.Job{}, echo.NewHTTPError(http.StatusBadRequest,
			"A cutter takes one drawing: one piece, template or cutting layout by its name.")
	}
	job := device.Job{Name: list[0].Title + ", " + stored.Title, As: in.As}
	switch in.As {
	case "plt":
		job.Data = hpgl.Write(list[0])
	case "svg":
		job.Data = svgfile.Draw(list[0].Only(drawing.Cut)) // an SVG says not what is cut and what is drawn
	default:
		return device.Job{}, echo.NewHTTPError(http.StatusBadRequest, "A cutter is sent a plt or an svg: say which.")
	}
	return job, nil
}

func (s *server) job(c *echo.Context) error {
	n, err := jobNumber(c)
	if err != nil {
		return err
	}
	state, err := s.bench.Job(n)
	if err != nil {
		return err
	}
	return c.JSON(http.StatusOK, jobView(state))
}

func (s *server) resumeJob(c *echo.Context) error {
	n, err := jobNumber(c)
	if err != nil {
		return err
	}
	if err := s.bench.Resume(n); err != nil {
		return err
	}
	return s.job(c)
}

// cancelJob ends a job where it is, or puts away one that has ended.
func (s *server) cancelJob(c *echo.Context) error {
	n, err := jobNumber(c)
	if err != nil {
		return err
	}
	if err := s.bench.Cancel(n); err != nil {
		return err
	}
	return c.NoContent(http.StatusNoContent)
}

func jobNumber(c *echo.Context) (int, error) {
	n, err := strconv.Atoi(c.Param("number"))
	if err != nil {
		return 0, bench.ErrUnknown
	}
	return n, nil
}

// strokes answers what a cutter does for a job.
func (s *server) strokes(c *echo.Context) error {
	n, err := jobNumber(c)
	if err != nil {
		return err
	}
	data, err := s.bench.Data(n)
	if err != nil {
		return err
	}
	list, err := standin.Strokes(data)
	if err != nil {
		return err
	}
	return c.JSON(http.StatusOK, strokesView(list))
}

func strokesView(list []hpgl.Stroke) StrokesView {
	out := StrokesView{Strokes: []StrokeView{}, Box: [4]float64{0, 0, 1, 1}}
	at := 0.0
	for i, s := range list {
		var path strings.Builder
		for k, p := range s.Points {
			if i == 0 && k == 0 {
				out.Box = [4]float64{p.X, p.Y, p.X, p.Y}
			}
			out.Box = [4]float64{min(out.Box[0], p.X), min(out.Box[1], p.Y), max(out.Box[2], p.X), max(out.Box[3], p.Y)}
			path.WriteString(map[bool]string{true: "M", false: "L"}[k == 0])
			path.WriteString(strconv.FormatFloat(p.X, 'f', 2, 64) + " " + strconv.FormatFloat(-p.Y, 'f', 2, 64))
		}
		out.Strokes = append(out.Strokes,
			StrokeView{Cuts: s.Pen == 1, Path: path.String(), From: at, To: at + s.Length()})
		at += s.Length()
	}
	return out
}

// jobData answers with what a job was sent with, as it came out of a printer.
func (s *server) jobData(c *echo.Context) error {
	n, err := jobNumber(c)
	if err != nil {
		return err
	}
	job, err := s.bench.Data(n)
	if err != nil {
		return err
	}
	if job.As != "pdf" {
		return echo.NewHTTPError(http.StatusBadRequest, "Only what was printed comes out as pages.")
	}
	return c.Blob(http.StatusOK, "application/pdf", job.Data)
}

func jobView(j bench.JobState) JobView {
	out := JobView{Number: j.Number, Device: j.Device.ID, Kind: string(j.Device.Kind), Name: j.Name, Done: j.Done,
		Of: j.Of, Unit: j.Unit, Jam: j.Jam, State: "working"}
	what := "The " + out.Kind
	switch {
	case j.Ended && errors.Is(j.Why, device.ErrGone):
		out.State, out.Says = "gone",
			what+" does not answer any more. The plan is as it was: see what is done, connect it and send it again."
	case j.Ended && j.Why != nil:
		out.State, out.Says = "stopped", what+" was stopped before it was done."
	case j.Ended:
		out.State, out.Says = "done", what+" is done."
	case j.Jam != "":
		out.State, out.Says = "jammed", j.Jam
	default:
		out.Says = what + " is at work."
	}
	return out
}
