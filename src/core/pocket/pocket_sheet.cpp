#include "core/pocket/pocket_sheet.hpp"

#include "core/cutting/kit.hpp"
#include "core/fitting/as_found.hpp"
#include "core/job/along.hpp"
#include "core/sheets/elevation.hpp"
#include "core/sheets/hole_section.hpp"
#include "core/sheets/summary.hpp"
#include "core/sheets/svg.hpp"
#include "core/steps/job_order.hpp"

#include <algorithm>
#include <fmt/format.h>
#include <optional>

namespace yes_square {

namespace embedded {
extern const std::string_view pocket_css;
extern const std::string_view pocket_js;
} // namespace embedded

namespace {

/// A drawing within the page: a picture of its own, so that nothing in it meets what is outside.
std::string picture(const Drawing& drawing, const std::string& what) {
    std::string data;
    for (const char c : svg(drawing, what))
        switch (c) {
        case '%':
            data += "%25";
            break;
        case '#':
            data += "%23";
            break;
        case '<':
            data += "%3C";
            break;
        case '>':
            data += "%3E";
            break;
        case '"':
            data += "%22";
            break;
        case '&':
            data += "%26";
            break;
        case '\n':
            data += ' ';
            break;
        default:
            data += c;
        }
    return fmt::format(R"(<img alt="{}" src="data:image/svg+xml;charset=utf-8,{}">)", in_markup(what), data);
}

class PocketWriter {
public:
    PocketWriter(const Job& job, const Plan& plan, const Voice& voice, const Scope& scope)
        : job_{job}
        , plan_{plan}
        , voice_{voice}
        , scope_{scope}
        , order_{job_order(job, plan, scope)} {
        for (std::size_t w = 0; w < job.walls.size(); ++w)
            if (scope.takes(job.walls[w]))
                walls_.push_back(w);
    }

    std::string write(const std::string& revision) {
        head(revision);
        for (const std::size_t w : walls_)
            wall(job_.walls[w], *plan_.walls[w]);
        steps();
        kit();
        readings();
        foot();
        return std::move(html_);
    }

private:
    std::string said(const Sentence& sentence) const { return in_markup(say(sentence, voice_)); }
    std::string word(std::string_view words) const { return in_markup(say(words, voice_)); }
    std::string shown(Length length) const { return in_markup(format(length, voice_)); }
    /// The same, never broken at the end of a line.
    std::string whole(const Quantity& figure) const {
        std::string words;
        for (const char c : in_markup(say(figure, voice_)))
            words += c == ' ' ? "&nbsp;" : std::string(1, c);
        return words;
    }
    void add(const std::string& html) { html_ += html + "\n"; }

    void head(const std::string& revision) {
        add(fmt::format(R"(<!DOCTYPE html>
<html lang="{}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>{}</title>
<style>
{}</style>
</head>
<body data-job="{}">)",
                        word("en"), // its own code, which a translation turns into its own
                        in_markup(job_.title), embedded::pocket_css, in_markup(job_.title + "/" + revision)));
        std::string of = job_.client;
        if (!job_.place.empty())
            of += (of.empty() ? "" : ", ") + job_.place;
        add(fmt::format("<header><h1>{}</h1>", in_markup(job_.title)));
        if (!of.empty())
            add(fmt::format("<p>{}</p>", in_markup(of)));
        if (!revision.empty())
            add(fmt::format("<p>{}</p>", said({"Revision {0}", {revision}})));
        add(fmt::format(R"(<p><label>{} <input id="who" autocomplete="name" value="{}"></label></p>)",
                        word("Who ticks"), in_markup(job_.fitter)));
        add(fmt::format(R"(<p id="progress" role="status" data-words="{}"></p>)", word("{0} of {1} done")));
        add(fmt::format(
            R"(<p id="unkept" role="alert" hidden>{}</p></header>)",
            word("This phone keeps nothing of a page opened so: give your ticks back before you close it")));
        add(fmt::format(R"(<nav aria-label="{}"><ul>)", word("Parts of this sheet")));
        for (const std::size_t w : walls_)
            add(fmt::format(R"(<li><a href="#{}">{}</a></li>)", in_markup(job_.walls[w].id),
                            in_markup(job_.walls[w].name)));
        for (const auto& [id, words] : {std::pair<const char*, std::string_view>{"steps", "Steps"},
                                        {"kit", "To take along"},
                                        {"readings", "Readings"},
                                        {"back", "Give back"}})
            add(fmt::format(R"(<li><a href="#{}">{}</a></li>)", id, word(words)));
        add("</ul></nav>\n<main>");
    }

    /// A box to tick; one that is ticked already stays so.
    std::string box(const std::string& key) const {
        const Tick* tick = find_tick(job_, key);
        const bool closed = tick && tick->state != TickState::begun;
        return fmt::format(R"(<input type="checkbox" data-key="{}"{}>)", in_markup(key),
                           closed ? " checked disabled" : "");
    }

    void wall(const Wall& wall, const WallPlan& plan) {
        add(fmt::format(R"(<section id="{}"><h2>{}</h2>)", in_markup(wall.id), in_markup(wall.name)));
        ElevationFrame frame;
        frame.width = 180;
        frame.height = 130;
        if (const Room* room = room_of(job_, wall))
            frame.lines = plan_.rooms[static_cast<std::size_t>(room - job_.rooms.data())].lines.lines;
        add(picture(draw_elevation(wall, plan, frame, voice_).drawing, wall.name));
        const std::vector<WallPass> walk = walk_wall(plan, job_.rules.fitting);
        if (!walk.empty())
            add(fmt::format("<p>{}</p>",
                            word(plan.tape.from_right()
                                     ? std::string_view{"Along: from the wall's right end. Up: from the datum."}
                                     : "Along: from the wall's left end. Up: from the datum.")));
        bool gate_shown = false;
        for (const WallPass& pass : walk) {
            if (pass.drill && !gate_shown) {
                gate(wall);
                gate_shown = true;
            }
            this->pass(wall, plan, pass);
        }
        add(fmt::format(
            R"(<h3><label for="note-{0}">{1}</label></h3><textarea id="note-{0}" data-note="{0}" rows="3"></textarea></section>)",
            in_markup(wall.id), word("Notes")));
    }

    /// Nothing is drilled before all of it is answered.
    void gate(const Wall& wall) {
        const std::string key = wall.id + "/gate";
        const bool passed = is_done(job_, key);
        add(fmt::format(R"(<fieldset class="gate" data-gate="{}"><legend>{}</legend>)", in_markup(key),
                        word("Stop. Before you drill")));
        for (const Sentence& question : gate_questions())
            add(fmt::format(R"(<label><input type="checkbox"{}> <span>{}</span></label>)",
                            passed ? " checked disabled" : "", said(question)));
        add("</fieldset>");
    }

    void pass(const Wall& wall, const WallPlan& plan, const WallPass& pass) {
        add(fmt::format("<h3>{}</h3>", said(yes_square::words(pass))));
        if (pass.drill) {
            const std::vector<PlannedHole> holes{pass.marks.begin(), pass.marks.end()};
            if (const PlannedHole* hole = most_telling(holes))
                add(picture(draw_hole_section(wall, plan, *hole, 120, 70, 3, voice_),
                            say(Sentence{"Through the wall: {0}", {say(hole->what, voice_)}}, voice_)));
            add(fmt::format(R"(<p class="how">{}</p>)", word(pass.drill->how)));
        }
        add(R"(<ol class="marks">)");
        for (const WallMark& mark : pass.marks)
            add("<li><label>" + box(tick_key(mark, pass)) + place(mark, pass) + "</label></li>");
        add("</ol>");
    }

    std::string place(const WallMark& mark, const WallPass& pass) const {
        const Tape& tape = mark.tape;
        std::string along =
            whole(yes_square::along(tape, mark.kind == MarkKind::level_line ? tape.near(mark.x, mark.to_x) : mark.x));
        if (mark.kind == MarkKind::level_line)
            along += " " + word("to") + " " + whole(yes_square::along(tape, tape.far(mark.x, mark.to_x)));
        std::string up = whole(quantity(mark.z)) + " " + word("up");
        if (mark.above_now != mark.z)
            up += ", " + said({"{0} from the floor as it is", {quantity(mark.above_now)}});
        std::string words = fmt::format(R"( <span class="place"><span class="figures"><span class="along">{}</span> )"
                                        R"(<span class="up">{}</span></span> <span>{}</span>)",
                                        along, up, said(mark.what));
        const auto add = [&](const char* kind, const std::string& told) {
            words += fmt::format(R"( <span class="{}">{}</span>)", kind, told);
        };
        if (mark.through_it)
            add("of", word("Held to its mark, through its own hole"));
        if (!pass.drill && mark.kind == MarkKind::hole && !mark.fixing)
            add("stop", said({"Nothing known holds here: {0}", {this->words(mark.substrate)}}));
        else if (!pass.drill && mark.kind == MarkKind::hole)
            add("of", said({"{0} goes here: {1}", {mark.fixing->name, this->words(mark.substrate)}}));
        if (mark.in_strip())
            add("stop", word("STOP: a cable or pipe is likely here. Detect and isolate first"));
        return words + "</span>";
    }
    std::string words(Substrate substrate) const { return say(yes_square::words(substrate), voice_); }

    void steps() {
        add(fmt::format(R"(<section id="steps"><h2>{}</h2>)", word("Steps")));
        std::string at = "?";
        for (const Task& task : order_.tasks) {
            if (task.wall != at) {
                const auto wall = std::ranges::find(job_.walls, task.wall, &Wall::id);
                add(fmt::format("{}<h3>{}</h3><ol>", at == "?" ? "" : "</ol>",
                                wall == job_.walls.end() ? word("The job") : in_markup(wall->name)));
                at = task.wall;
            }
            std::string words = said(task.step.words);
            if (task.step.hold_point)
                words = "<strong>" + words + "</strong>";
            if (!task.item_name.empty())
                words += fmt::format(R"( <span class="of">{}</span>)", in_markup(task.item_name));
            add(fmt::format("<li><label>{} <span>{}</span></label>", box(task.key), words));
            if (!task.cautions.empty()) {
                add(fmt::format("<details><summary>{}</summary><ul>", word("Mind")));
                for (const Sentence& caution : task.cautions)
                    add(fmt::format("<li>{}</li>", said(caution)));
                add("</ul></details>");
            }
            add("</li>");
        }
        add(at == "?" ? "</section>" : "</ol></section>");
    }

    void kit() {
        add(fmt::format(R"(<section id="kit"><h2>{}</h2>)", word("To take along")));
        std::optional<KitGroup> group;
        for (const KitLine& line : kit_of(job_, plan_, scope_).lines) {
            if (line.group != group) {
                add(fmt::format("{}<h3>{}</h3><ul class=\"kit\">", group ? "</ul>" : "",
                                word(yes_square::words(line.group))));
                group = line.group;
            }
            add(fmt::format(
                R"(<li><label><input type="checkbox" data-here="{0}/{1}"> <span>{2} {3}</span></label></li>)",
                static_cast<int>(line.group), in_markup(line.item),
                line.total() > 1 ? fmt::format("{} ×", line.total()) : "", said(line.name)));
        }
        add(group ? "</ul></section>" : "</section>");
    }

    /// What a level or a plumb line says of something that hangs.
    void readings() {
        add(fmt::format(R"(<section id="readings"><h2>{}</h2><form id="reading"><p><label>{} <select name="item">)",
                        word("Readings"), word("Held to")));
        for (const std::size_t w : walls_)
            for_each_thing(*plan_.walls[w], [&](const ThingPlan& thing) {
                add(fmt::format(R"(<option value="{}">{}</option>)", in_markup(thing.id), in_markup(thing.name)));
            });
        add(fmt::format(R"(</select></label></p>
<p><label>{} <select name="kind"><option value="level">{}</option><option value="plumb">{}</option></select></label></p>
<p><label>{} <select name="off_at"><option value="left">{}</option><option value="right">{}</option><option value="front">{}</option><option value="back">{}</option></select></label></p>
<p><label>{} <input name="off" required></label></p>
<p><label>{} <input name="over" required value="{}"></label></p>
<p><button type="submit">{}</button></p></form><ul id="taken"></ul></section>)",
                        word("By"), word("a level"), word("a plumb line"), word("Low end, or where its top leans to"),
                        word("left"), word("right"), word("front"), word("back"), word("Off by"), word("Level, long"),
                        shown(Length::mm(1200)), word("Keep this reading")));
    }

    void foot() {
        add(fmt::format(
            R"(<section id="back"><h2>{}</h2>
<p>{}</p>
<p><button type="button" id="give">{}</button></p>
<p><label for="given">{}</label></p><textarea id="given" rows="6" readonly></textarea></section>
</main>
<footer><p>{}</p></footer>
<script>
{}</script>
</body>
</html>)",
            word("Give back"),
            word("Everything ticked, read and noted here goes into one small file. Send it to the laptop: Day, "
                 "Take in a pocket sheet."),
            word("Give back"), word("The same as words, to be copied"),
            word("Reckoned from what was measured and chosen. Local codes, makers' instructions and licensed "
                 "trades come first."),
            embedded::pocket_js));
    }

    const Job& job_;
    const Plan& plan_;
    const Voice& voice_;
    const Scope& scope_;
    const JobOrder order_;
    std::vector<std::size_t> walls_;
    std::string html_;
};

} // namespace

std::string pocket_sheet(const Job& job, const Plan& plan, const Voice& voice, const Scope& scope,
                         const std::string& revision) {
    return PocketWriter{job, plan, voice, scope}.write(revision);
}

} // namespace yes_square
