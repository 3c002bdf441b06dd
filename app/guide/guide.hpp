// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>
#include <QTextBrowser>
#include <QWidget>
#include <vector>

class QListWidget;

namespace chalkline::app {

/// One page of the guide, as it stands in docs/guide.
struct GuidePage {
    QString file;   ///< "cup.md"
    QString title;  ///< its first heading
    QString text;   ///< Markdown
};

/// All pages, the first being the list of the others.
std::vector<GuidePage> guide_pages();

/// Says which page a widget, and everything in it, belongs to.
void set_guide_page(QWidget* widget, const QString& file);
/// The page of the nearest widget above (or of) this one that has one; the first page otherwise.
QString guide_page_of(const QWidget* widget);

/// Shows a page with its pictures no wider than it is itself.
class GuideText : public QTextBrowser {
    Q_OBJECT
 public:
    using QTextBrowser::QTextBrowser;
    void show_page(const QString& file);

 protected:
    void doSetSource(const QUrl& name, QTextDocument::ResourceType type) override;
    QVariant loadResource(int type, const QUrl& name) override;
    void resizeEvent(QResizeEvent* event) override;
};

/// The guide in a window of its own, so that it can stand beside what it speaks of.
class GuideWindow : public QWidget {
    Q_OBJECT
 public:
    explicit GuideWindow(QWidget* parent);
    void open_page(const QString& file);
    QString page() const;

 protected:
    void keyPressEvent(QKeyEvent* event) override;

 private:
    QListWidget* list_;
    GuideText* text_;
};

}  // namespace chalkline::app
