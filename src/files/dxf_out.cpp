#include "files/dxf_out.hpp"

#include "core/sheets/inks.hpp"

#include <array>
#include <dxflib/dl_dxf.h>
#include <fmt/format.h>
#include <fstream>
#include <iterator>
#include <map>
#include <memory>
#include <sys/mman.h>
#include <unistd.h>

namespace yes_square {
namespace {

/// R12 knows ASCII; other letters as \U+XXXX, which readers turn back.
std::string ascii(const std::string& text) {
    std::string plain;
    for (std::size_t i = 0; i < text.size();) {
        const auto lead = static_cast<unsigned char>(text[i]);
        const std::size_t more = lead < 0x80 ? 0 : lead < 0xE0 ? 1 : lead < 0xF0 ? 2 : 3;
        unsigned code = more == 0 ? lead : lead & (0x3FU >> more);
        for (std::size_t k = 1; k <= more && i + k < text.size(); ++k)
            code = code << 6 | (static_cast<unsigned char>(text[i + k]) & 0x3FU);
        if (code >= 0x80)
            plain += fmt::format("\\U+{:04X}", code);
        else
            plain += code < 0x20 ? ' ' : static_cast<char>(code);
        i += more + 1;
    }
    return plain;
}

class DxfWriter {
public:
    DxfWriter(DL_Dxf& dxf, DL_WriterA& out, const Drawing& drawing, const std::optional<ElevationScale>& scale,
              const std::vector<OutlineMark>& outline)
        : dxf_{dxf}
        , out_{out}
        , drawing_{drawing}
        , scale_{scale}
        , outline_{outline} {}

    void write() {
        dxf_.writeHeader(out_);
        out_.dxfString(9, "$INSUNITS");
        out_.dxfInt(70, 4); // mm
        out_.sectionEnd();
        tables();
        out_.sectionBlocks();
        out_.sectionEnd();
        out_.sectionEntities();
        for (const Shape& shape : drawing_.shapes)
            std::visit([this](const auto& form) { this->form(form); }, shape.form);
        for (const OutlineMark& mark : outline_)
            this->mark(mark);
        out_.sectionEnd();
        out_.dxfEOF();
        out_.close();
    }

private:
    void tables() {
        out_.sectionTables();
        dxf_.writeVPort(out_);
        out_.tableLinetypes(1);
        dxf_.writeLinetype(out_, DL_LinetypeData{"CONTINUOUS", "Continuous", 0, 0, 0});
        out_.tableEnd();
        std::map<std::string, int> layers{{"0", 7}}; // with their colours
        for (const Shape& shape : drawing_.shapes)
            std::visit([&](const auto& each) { layers.emplace(layer(each.ink), on_file(each.ink).index); }, shape.form);
        for (const OutlineMark& mark : outline_)
            layers.emplace(mark.layer, 7);
        out_.tableLayers(static_cast<int>(layers.size()));
        for (const auto& [name, colour] : layers)
            dxf_.writeLayer(out_, DL_LayerData{name, 0}, DL_Attributes{"", colour, -1, "CONTINUOUS", 1.0});
        out_.tableEnd();
        out_.tableStyle(1);
        dxf_.writeStyle(out_, DL_StyleData{"STANDARD", 0, 0, 1, 0, 0, 2.5, "txt", ""});
        out_.tableEnd();
        dxf_.writeView(out_);
        dxf_.writeUcs(out_);
        out_.tableAppid(1);
        dxf_.writeAppid(out_, "ACAD");
        out_.tableEnd();
        dxf_.writeDimStyle(out_, 2.5, 1.25, 0.625, 0.625, 2.5);
        out_.sectionEnd();
    }

    /// mm of wall for a mm of paper.
    double grow() const { return scale_ ? 1000 / scale_->per_metre : 1; }
    double x(double paper) const { return scale_ ? (paper - scale_->left) * grow() : paper; }
    double y(double paper) const { return scale_ ? (scale_->floor - paper) * grow() : drawing_.height - paper; }
    static std::string layer(Ink ink) { return fmt::format("{}{}", sheet_prefix, on_file(ink).layer); }
    static DL_Attributes on(const std::string& layer) { return {layer, 256, -1, "BYLAYER", 1.0}; }
    static DL_Attributes on(Ink ink) { return on(layer(ink)); }

    void mark(const OutlineMark& mark) {
        const DL_Attributes attributes = on(std::string{mark.layer});
        if (mark.left == mark.right) {
            dxf_.writeLine(out_, DL_LineData{mark.left, mark.bottom, 0, mark.right, mark.top, 0}, attributes);
            return;
        }
        dxf_.writePolyline(out_, DL_PolylineData{4, 0, 0, 1}, attributes);
        for (const auto& [x, y] : {std::pair{mark.left, mark.bottom}, std::pair{mark.right, mark.bottom},
                                   std::pair{mark.right, mark.top}, std::pair{mark.left, mark.top}})
            dxf_.writeVertex(out_, DL_VertexData{x, y, 0, 0});
        dxf_.writePolylineEnd(out_);
    }

    void line(Point a, Point b, Ink ink) {
        dxf_.writeLine(out_, DL_LineData{x(a.x), y(a.y), 0, x(b.x), y(b.y), 0}, on(ink));
    }
    template <std::size_t N>
    void closed(const std::array<Point, N>& corners, Ink ink) {
        dxf_.writePolyline(out_, DL_PolylineData{static_cast<int>(N), 0, 0, 1}, on(ink));
        for (const Point& corner : corners)
            dxf_.writeVertex(out_, DL_VertexData{x(corner.x), y(corner.y), 0, 0});
        dxf_.writePolylineEnd(out_);
    }

    void form(const Line& shape) { line(shape.from, shape.to, shape.ink); }
    void form(const Rectangle& shape) {
        const auto [left, top] = shape.at;
        closed(std::array{Point{left, top}, Point{left + shape.width, top},
                          Point{left + shape.width, top + shape.height}, Point{left, top + shape.height}},
               shape.ink);
    }
    void form(const Circle& shape) {
        if (shape.radius > 0)
            dxf_.writeCircle(out_, DL_CircleData{x(shape.centre.x), y(shape.centre.y), 0, shape.radius * grow()},
                             on(shape.ink));
    }
    void form(const Triangle& shape) { closed(std::array{shape.a, shape.b, shape.c}, shape.ink); }
    void form(const Text& shape) {
        if (shape.text.empty())
            return;
        const int align = shape.align == Align::left ? 0 : shape.align == Align::centre ? 1 : 2;
        // Cap height is about seven tenths of the type size.
        dxf_.writeText(out_,
                       DL_TextData{x(shape.at.x), y(shape.at.y), 0, x(shape.at.x), y(shape.at.y), 0,
                                   0.7 * shape.height * grow(), 1, 0, align, 0, ascii(shape.text), "STANDARD", 0},
                       on(shape.ink));
    }

    DL_Dxf& dxf_;
    DL_WriterA& out_;
    const Drawing& drawing_;
    const std::optional<ElevationScale>& scale_;
    const std::vector<OutlineMark>& outline_;
};

/// A file in memory for a library that writes to a path. None: the system has no such.
class MemoryFile {
public:
    MemoryFile()
        : handle_{::memfd_create("dxf", MFD_CLOEXEC)} {}
    ~MemoryFile() {
        if (handle_ >= 0)
            ::close(handle_);
    }
    MemoryFile(const MemoryFile&) = delete;
    MemoryFile& operator=(const MemoryFile&) = delete;

    std::string path() const { return fmt::format("/proc/self/fd/{}", handle_); }
    std::string text() const {
        std::ifstream file{path(), std::ios::binary};
        return {std::istreambuf_iterator<char>{file}, {}};
    }

private:
    int handle_;
};

} // namespace

tl::expected<std::string, std::string> dxf_text(const Drawing& drawing, const std::optional<ElevationScale>& scale,
                                                const std::vector<OutlineMark>& outline) {
    const MemoryFile file;
    DL_Dxf dxf;
    if (const std::unique_ptr<DL_WriterA> out{dxf.out(file.path().c_str(), DL_Codes::AC1009)};
        out && !out->openFailed())
        DxfWriter{dxf, *out, drawing, scale, outline}.write();
    std::string text = file.text();
    if (!text.ends_with("EOF\n")) // the library does not say that it came to no end
        return tl::unexpected{std::string{"there is no memory to draw the DXF up in"}};
    return text;
}

} // namespace yes_square
