// Saves two jobs over one another as fast as it can, until it is killed; says so after the first save. With "once":
// opens the file that is there, puts unsaved work beside it, then saves it; what goes wrong is said.
#include "app/shell/job_store.hpp"

#include <QCoreApplication>
#include <QFile>
#include <cstdio>

using namespace yes_square;
using namespace yes_square::app;

int main(int argc, char** argv) {
    QCoreApplication application{argc, argv};
    QFile file{QString::fromLocal8Bit(argv[1])};
    const bool once = argc == 4;
    if ((argc != 3 && !once) || !file.open(QIODevice::ReadOnly))
        return 2;
    Job first = read_job(file.readAll().toStdString())->job;
    Job second = first;
    first.title = "first";
    second.title = "second";
    JobStore store;
    if (once) {
        const QString path = QString::fromLocal8Bit(argv[2]);
        QString problem;
        if (const auto opened = store.open(path); !opened)
            problem = opened.error();
        else if (!opened->read_only.isEmpty())
            problem = opened->read_only;
        if (problem.isEmpty())
            problem = store.autosave(first);
        if (problem.isEmpty())
            problem = store.save(second);
        std::fputs(problem.toLocal8Bit().constData(), stderr);
        return problem.isEmpty() ? 0 : 1;
    }
    for (bool said = false;; said = true) {
        for (const Job* job : {&first, &second})
            if (!store.save_as(QString::fromLocal8Bit(argv[2]), *job).isEmpty())
                return 1;
        if (!said) {
            std::puts("saving");
            std::fflush(stdout);
        }
    }
}
