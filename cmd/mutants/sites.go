package main

import (
	"fmt"
	"go/ast"
	"go/constant"
	"go/token"
	"go/types"
	"math"
	"strings"
)

// site is one place in the source where a mutant can be made. Mutants are built in, all at once, and
// one of them is switched on when the tests run.
type site struct {
	lo, hi int // what of the file it stands for, in bytes
	at     token.Position
	told   string // what is changed into what
	// write tells the source with the mutant in it; inner tells that of a part, with the mutants in it.
	write func(id int, inner func(ast.Node) string) string
}

// finder collects the sites of one file.
type finder struct {
	fset  *token.FileSet
	info  *types.Info
	file  *ast.File
	pkg   *types.Package
	src   []byte
	sites []site
}

func (f *finder) offset(p token.Pos) int { return f.fset.Position(p).Offset }

func (f *finder) text(n ast.Node) string { return string(f.src[f.offset(n.Pos()):f.offset(n.End())]) }

func (f *finder) add(n ast.Node, told string, write func(id int, inner func(ast.Node) string) string) {
	at := f.fset.Position(n.Pos())
	f.sites = append(f.sites, site{lo: at.Offset, hi: f.offset(n.End()), at: at, told: told, write: write})
}

// find goes through the bodies of all functions and the values of all variables.
func (f *finder) find() {
	for _, decl := range f.file.Decls {
		switch d := decl.(type) {
		case *ast.FuncDecl:
			if d.Body != nil && d.Type.TypeParams == nil {
				ast.Inspect(d.Body, f.visit)
			}
		case *ast.GenDecl:
			if d.Tok == token.VAR {
				ast.Inspect(d, f.visit)
			}
		}
	}
}

func (f *finder) visit(n ast.Node) bool {
	if e, ok := n.(ast.Expr); ok && f.info.Types[e].Value != nil {
		f.constant(e)
		return false
	}
	switch n := n.(type) {
	case *ast.GenDecl:
		return n.Tok == token.VAR
	case *ast.ArrayType, *ast.FuncType, *ast.StructType, *ast.InterfaceType:
		return false
	case *ast.KeyValueExpr: // the places of an array and the names of fields stay as they are
		ast.Inspect(n.Value, f.visit)
		return false
	case *ast.CallExpr:
		return f.call(n)
	case *ast.BinaryExpr:
		f.binary(n)
	case *ast.UnaryExpr:
		f.unary(n)
	case *ast.IfStmt:
		f.condition(n.Cond)
	case *ast.BlockStmt:
		f.statements(n.List)
	case *ast.CaseClause:
		f.statements(n.Body)
	}
	return true
}

// call leaves alone what only tells how much room to make, and what a panic says.
func (f *finder) call(n *ast.CallExpr) bool {
	name, builtin := n.Fun.(*ast.Ident)
	if !builtin || f.info.Uses[name] == nil || f.info.Uses[name].Parent() != types.Universe {
		return true
	}
	if name.Name == "make" {
		if len(n.Args) == 2 {
			ast.Inspect(n.Args[1], f.visit)
		}
		return false
	}
	return name.Name != "panic"
}

var (
	flipped = map[token.Token]string{
		token.LSS: ">=", token.LEQ: ">", token.GTR: "<=", token.GEQ: "<", token.EQL: "!=", token.NEQ: "==",
		token.LAND: "||", token.LOR: "&&",
	}
	// counted are the functions of the runtime that stand for an operator, and what they do instead.
	counted = map[token.Token]struct{ call, instead string }{
		token.ADD: {"mutant_add", "-"}, token.SUB: {"mutant_sub", "+"},
		token.MUL: {"mutant_mul", "/"}, token.QUO: {"mutant_quo", "*"},
	}
)

func (f *finder) binary(n *ast.BinaryExpr) {
	told := func(instead string) string { return fmt.Sprintf("%s → %s in %s", n.Op, instead, f.text(n)) }
	switch instead := flipped[n.Op]; {
	case !f.plain(n):
	case n.Op == token.LAND || n.Op == token.LOR:
		f.add(n, told(instead), func(id int, inner func(ast.Node) string) string {
			return fmt.Sprintf("func() bool { if mutant_on(%d) { return (%s) %s (%s) }; return (%s) %s (%s) }()", id,
				f.text(n.X), instead, f.text(n.Y), inner(n.X), n.Op, inner(n.Y))
		})
	case instead != "":
		f.add(n, told(instead), func(id int, inner func(ast.Node) string) string {
			return fmt.Sprintf("(mutant_on(%d) != ((%s) %s (%s)))", id, inner(n.X), n.Op, inner(n.Y))
		})
	case counted[n.Op].call != "" && f.number(n):
		f.add(n, told(counted[n.Op].instead), func(id int, inner func(ast.Node) string) string {
			return fmt.Sprintf("%s(%d, %s, %s)", counted[n.Op].call, id, inner(n.X), inner(n.Y))
		})
	}
}

func (f *finder) unary(n *ast.UnaryExpr) {
	switch {
	case n.Op == token.NOT && f.plain(n):
		f.add(n, "without ! in "+f.text(n), func(id int, inner func(ast.Node) string) string {
			return fmt.Sprintf("(mutant_on(%d) == (%s))", id, inner(n.X))
		})
	case n.Op == token.SUB && f.number(n):
		f.add(n, "without − in "+f.text(n), func(id int, inner func(ast.Node) string) string {
			return fmt.Sprintf("mutant_neg(%d, %s)", id, inner(n.X))
		})
	}
}

// condition turns round what is asked for by a name or a call alone.
func (f *finder) condition(n ast.Expr) {
	switch n.(type) {
	case *ast.BinaryExpr, *ast.UnaryExpr:
		return
	}
	if f.plain(n) {
		f.add(n, "not "+f.text(n), func(id int, inner func(ast.Node) string) string {
			return fmt.Sprintf("(mutant_on(%d) != (%s))", id, inner(n))
		})
	}
}

func (f *finder) statements(list []ast.Stmt) {
	for _, stmt := range list {
		switch s := stmt.(type) {
		case *ast.ExprStmt:
			if call, ok := s.X.(*ast.CallExpr); !ok || f.isPanic(call) {
				continue
			}
		case *ast.AssignStmt:
			if s.Tok == token.DEFINE || f.blank(s) {
				continue
			}
		case *ast.IncDecStmt:
		default:
			continue
		}
		f.add(stmt, "without "+f.text(stmt), func(id int, inner func(ast.Node) string) string {
			return fmt.Sprintf("if !mutant_on(%d) { %s }", id, inner(stmt))
		})
		if assigned, ok := stmt.(*ast.AssignStmt); ok {
			f.assigned(assigned)
		}
	}
}

func (f *finder) isPanic(call *ast.CallExpr) bool {
	name, ok := call.Fun.(*ast.Ident)
	return ok && name.Name == "panic"
}

func (f *finder) blank(s *ast.AssignStmt) bool {
	for _, to := range s.Lhs {
		if name, ok := to.(*ast.Ident); !ok || name.Name != "_" {
			return false
		}
	}
	return true
}

// assigned turns what is added into what is taken away, and the other way round.
func (f *finder) assigned(s *ast.AssignStmt) {
	instead := map[token.Token]string{token.ADD_ASSIGN: "-=", token.SUB_ASSIGN: "+="}[s.Tok]
	if instead == "" || !f.number(s.Lhs[0]) {
		return
	}
	f.add(s, fmt.Sprintf("%s → %s in %s", s.Tok, instead, f.text(s)), func(id int, inner func(ast.Node) string) string {
		return fmt.Sprintf("if mutant_on(%d) { %s %s %s } else { %s %s %s }", id,
			f.text(s.Lhs[0]), instead, f.text(s.Rhs[0]), inner(s.Lhs[0]), s.Tok, inner(s.Rhs[0]))
	})
}

// constant moves a number by one, or by an eighth where one more is nothing.
func (f *finder) constant(n ast.Expr) {
	value := f.info.Types[n].Value
	name, ok := f.typeName(f.info.Types[n].Type)
	if !ok || !hasLiteral(n) || value.Kind() != constant.Int && value.Kind() != constant.Float {
		return
	}
	v, _ := constant.Float64Val(value)
	instead, call := "one more", "mutant_more"
	if math.Abs(v) >= 1000 || strings.HasPrefix(name, "float") && v != 0 {
		instead, call = "an eighth more", "mutant_eighth"
	} else if v == 0 && name != "int" {
		return // a nanometre more than nothing is nothing
	}
	f.add(n, fmt.Sprintf("%s for %s", instead, f.text(n)), func(id int, _ func(ast.Node) string) string {
		return fmt.Sprintf("%s[%s](%d, %s)", call, name, id, f.text(n))
	})
}

func hasLiteral(n ast.Expr) bool {
	found := false
	ast.Inspect(n, func(n ast.Node) bool {
		_, literal := n.(*ast.BasicLit)
		found = found || literal
		return !found
	})
	return found
}

// typeName is what a type of numbers is called in the file, if it can be called there.
func (f *finder) typeName(t types.Type) (string, bool) {
	t = types.Default(t)
	if basic, ok := t.(*types.Basic); ok {
		return basic.Name(), basic.Info()&types.IsNumeric != 0
	}
	named, ok := t.(*types.Named)
	if !ok {
		return "", false
	}
	if basic, ok := named.Underlying().(*types.Basic); !ok || basic.Info()&types.IsNumeric == 0 {
		return "", false
	}
	if named.Obj().Pkg() == f.pkg {
		return named.Obj().Name(), named.Obj().Parent() == f.pkg.Scope()
	}
	for _, spec := range f.file.Imports {
		if spec.Name == nil && strings.Trim(spec.Path.Value, `"`) == named.Obj().Pkg().Path() {
			return named.Obj().Pkg().Name() + "." + named.Obj().Name(), true
		}
	}
	return "", false
}

// number: a whole or broken number of no type parameter.
func (f *finder) number(n ast.Expr) bool {
	basic, ok := f.info.TypeOf(n).Underlying().(*types.Basic)
	return ok && basic.Info()&types.IsNumeric != 0
}

// plain: of the type bool itself, or a number.
func (f *finder) plain(n ast.Expr) bool {
	t := f.info.TypeOf(n)
	basic, ok := t.(*types.Basic)
	return f.number(n) || ok && basic.Info()&types.IsBoolean != 0
}
