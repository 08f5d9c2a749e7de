#include "app/layout/cut_outs_editor.hpp"

#include "app/bench/words.hpp"
#include "core/site/cut_outs.hpp"

#include <QVBoxLayout>

namespace yes_square::app {
namespace {

constexpr int notch = 3; ///< kind that reaches the back edge

ReadingsSpec cut_outs_spec(const CutOutsOf& of) {
    ReadingsSpec spec;
    spec.name = of.name;
    spec.kind_label = CutOutsEditor::tr("Cut out for");
    spec.kinds = {CutOutsEditor::tr("cable outlet"), CutOutsEditor::tr("sink"), CutOutsEditor::tr("hob"),
                  CutOutsEditor::tr("notch for a pipe or a post"), CutOutsEditor::tr("something else")};
    spec.fields = [](int kind) {
        std::vector<ReadingField> fields{
            {QStringLiteral("across"), CutOutsEditor::tr("Its left edge, from the left end")},
            {QStringLiteral("width"), CutOutsEditor::tr("Long, along the board"), false, false, true},
            {QStringLiteral("depth"), CutOutsEditor::tr("Deep, front to back"), false, false, true}};
        if (kind != notch)
            fields.insert(fields.begin() + 1,
                          {QStringLiteral("back"), CutOutsEditor::tr("Its back edge, from the board's")});
        return fields;
    };
    spec.add = [of, kinds = spec.kinds](Wall& wall, int kind, const std::vector<std::optional<Length>>& figures) {
        std::vector<CutOut>* cut_outs = of.in(wall);
        if (!cut_outs)
            return;
        const std::size_t size = kind == notch ? 1 : 2;
        cut_outs->push_back({kinds[kind].toStdString(), *figures[0], kind == notch ? Length{} : *figures[1],
                             *figures[size], *figures[size + 1]});
    };
    spec.rows = [of](const Wall&, const Voice& voice, const Reader&) {
        std::vector<ReadingRow> rows;
        const std::vector<CutOut>* cut_outs = of.now();
        for (std::size_t i = 0; cut_outs && i < cut_outs->size(); ++i)
            rows.push_back({(*cut_outs)[i].across, text(say(words_of((*cut_outs)[i]), voice)), 0, i});
        return rows;
    };
    spec.erase = [of](Wall& wall, const ReadingRow& row) {
        if (std::vector<CutOut>* cut_outs = of.in(wall))
            cut_outs->erase(cut_outs->begin() + static_cast<std::ptrdiff_t>(row.index));
    };
    return spec;
}

} // namespace

CutOutsEditor::CutOutsEditor(Workbench& bench, CutOutsOf of, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , of_{std::move(of)}
    , drawing_{new DrawingView{
          [this](double width, double height, double size) {
              const auto board = of_.seen();
              return board ? draw_from_above(*board, width, height, size, bench_.voice()) : Drawing{width, height, {}};
          },
          this}} {
    drawing_->setObjectName(of_.name + QStringLiteral("-drawing"));
    drawing_->setAccessibleName(tr("The board from above"));
    drawing_->setMinimumHeight(150);
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(new ReadingsEditor{bench, cut_outs_spec(of_), this});
    column->addWidget(drawing_);
    connect(&bench_, &Workbench::changed, this, &CutOutsEditor::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &CutOutsEditor::refresh);
    refresh();
}

void CutOutsEditor::refresh() {
    drawing_->setVisible(of_.seen().has_value());
    drawing_->redraw();
}

} // namespace yes_square::app
