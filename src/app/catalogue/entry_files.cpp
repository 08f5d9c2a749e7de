#include "app/catalogue/entry_files.hpp"

#include "app/bench/words.hpp"
#include "core/job/file.hpp"

#include <QFile>
#include <QFileDialog>
#include <QSaveFile>

namespace yes_square::app {
namespace {

bool is_table(const QString& path) {
    return path.endsWith(QLatin1String(".csv"), Qt::CaseInsensitive) ||
           path.endsWith(QLatin1String(".txt"), Qt::CaseInsensitive);
}

template <class Entry>
tl::expected<std::vector<Entry>, std::string> entries_in(const std::string& document, bool table) {
    if (table)
        return entries_from_csv<Entry>(document);
    const auto catalogue = read_catalogue(document);
    if (!catalogue)
        return tl::unexpected{catalogue.error().text()};
    if (((*catalogue).*entries_of<Entry>).empty())
        return tl::unexpected{"there is no list \"" + std::string{entries_name<Entry>} + "\" with anything in it"};
    return (*catalogue).*entries_of<Entry>;
}

} // namespace

template <class Entry>
std::vector<Entry> read_entries(const QString& path, QString& problem) {
    QFile file{path};
    if (!file.open(QIODevice::ReadOnly)) {
        problem = tr("%1 cannot be read: %2").arg(path, file.errorString());
        return {};
    }
    const auto read = entries_in<Entry>(file.readAll().toStdString(), is_table(path));
    if (read)
        return *read;
    problem = tr("%1: %2. Nothing was taken in.").arg(path, text(read.error()));
    return {};
}

template <class Entry>
QString write_entries(const QString& path, const std::vector<Entry>& entries) {
    std::string document;
    if (is_table(path)) {
        document = entries_csv(entries);
    } else {
        Catalogue catalogue;
        catalogue.*entries_of<Entry> = entries;
        document = write_catalogue(catalogue);
    }
    QSaveFile file{path};
    const QByteArray bytes = QByteArray::fromStdString(document);
    if (!file.open(QIODevice::WriteOnly) || file.write(bytes) != bytes.size() || !file.commit())
        return tr("%1 cannot be written: %2").arg(path, file.errorString());
    return {};
}

QString ask_entries_to_read(QWidget* parent) {
    return QFileDialog::getOpenFileName(parent, tr("Take in"), {}, tr("Tables and catalogues (*.csv *.txt *.json)"));
}

QString ask_entries_to_write(QWidget* parent) {
    return QFileDialog::getSaveFileName(parent, tr("Give out"), {}, tr("Tables (*.csv);;Catalogues (*.json)"));
}

template std::vector<Bracket> read_entries<Bracket>(const QString&, QString&);
template std::vector<MasonryAnchor> read_entries<MasonryAnchor>(const QString&, QString&);
template std::vector<LiningAnchor> read_entries<LiningAnchor>(const QString&, QString&);
template std::vector<Support> read_entries<Support>(const QString&, QString&);
template std::vector<HangingGear> read_entries<HangingGear>(const QString&, QString&);
template QString write_entries<Bracket>(const QString&, const std::vector<Bracket>&);
template QString write_entries<MasonryAnchor>(const QString&, const std::vector<MasonryAnchor>&);
template QString write_entries<LiningAnchor>(const QString&, const std::vector<LiningAnchor>&);
template QString write_entries<Support>(const QString&, const std::vector<Support>&);
template QString write_entries<HangingGear>(const QString&, const std::vector<HangingGear>&);

} // namespace yes_square::app
